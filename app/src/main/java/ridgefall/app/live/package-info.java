/** Screens hear of what changed, from whichever node it changed at. */
package ridgefall.app.live;
