/** Station 6 over HTTP: the open device, drawn. */
package ridgefall.app.strip;
