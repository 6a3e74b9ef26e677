/** Station 5 over HTTP: the way round the edge from where the bench stands. */
package ridgefall.app.separate;
