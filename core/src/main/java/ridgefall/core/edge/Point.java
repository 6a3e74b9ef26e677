package ridgefall.core.edge;

/** A place on the face in mm, face up, x to the right and y down from the top left of the outline's bounding box. */
public record Point(double xMm, double yMm) {}
