package ridgefall.core.edge;

/** Where on the outline, face up with the camera at the top. Screens name it by what is found there. */
public enum Landmark {
    TOP,
    TOP_RIGHT,
    RIGHT,
    BOTTOM_RIGHT,
    BOTTOM,
    BOTTOM_LEFT,
    LEFT,
    TOP_LEFT;

    public boolean isCorner() {
        return ordinal() % 2 == 1;
    }
}
