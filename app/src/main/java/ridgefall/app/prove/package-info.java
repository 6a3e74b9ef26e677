/** Station 12 over HTTP: the page that goes with the device, and the export of its journal. */
package ridgefall.app.prove;
