/** Station 3, parts check: is the part on the bench the right one, before anything is opened. */
package ridgefall.core.parts;
