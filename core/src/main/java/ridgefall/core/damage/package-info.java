/** What is broken, from intake or since, and what that means for the edge. */
package ridgefall.core.damage;
