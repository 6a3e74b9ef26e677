/** Station 8, clean the frame: bare, flat, dry, without shards. */
package ridgefall.core.clean;
