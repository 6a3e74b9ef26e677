/** Station 8 over HTTP: the ledge, stretch by stretch. */
package ridgefall.app.clean;
