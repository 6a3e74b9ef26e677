/** Paper that is laid beside the device: everything on it is as large as it is. */
package ridgefall.core.sheet;
