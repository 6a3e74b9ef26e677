/** How other devices of the bench's network reach the app: not at all, unless it is asked for. */
package ridgefall.app.reach;
