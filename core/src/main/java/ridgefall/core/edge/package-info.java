/**
 * The edge line: everything on a device's perimeter is a value or an interval on one axis, the edge position, in
 * millimetres clockwise, face up, from where the top edge leaves the landmark corner (top left with the camera up).
 * Stands on JTS linear referencing: an edge position is a length index along the outline.
 */
package ridgefall.core.edge;
