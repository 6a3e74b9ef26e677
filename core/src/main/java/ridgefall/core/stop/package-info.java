/** A cell that can hurt someone: said at any moment, at any station; a lead alone lets the job go on. */
package ridgefall.core.stop;
