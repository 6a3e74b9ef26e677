/** The device book: what is known of a device before it is touched, with its perimeter on the edge line. */
package ridgefall.core.profile;
