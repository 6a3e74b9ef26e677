/** Station 9 over HTTP: ways of laying strips, drawn on the outline. */
package ridgefall.app.bond;
