/** Allowed ranges, bands and the small statements every other room makes about numbers. */
package ridgefall.core.units;
