/** Station 10, test before sealing: the hold point that saves adhesive and parts. */
package ridgefall.core.test;
