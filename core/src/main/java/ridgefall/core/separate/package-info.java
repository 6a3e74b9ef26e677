/** Station 5, separate: where to enter, in which order to cut the bond line, how deep, and where wedges stay. */
package ridgefall.core.separate;
