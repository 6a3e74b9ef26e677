/** Station 11 over HTTP: how it is pressed, and how it lies in its rim. */
package ridgefall.app.seal;
