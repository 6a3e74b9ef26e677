/** The shared picture of a device: its outline by edge position, as it lies on the bench. */
package ridgefall.app.edge;
