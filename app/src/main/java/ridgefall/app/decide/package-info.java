/** Which repair, at what price: quotes on screen and on paper. */
package ridgefall.app.decide;
