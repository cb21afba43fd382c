package plainlantern.treating;

/** A table that tells a colour for each colour, all of them stored sRGB. */
public sealed interface ColourMap permits Lattice, Curves {
    /** What stands at a colour, red, green and blue; what is beyond the table counts as its nearest end. */
    float[] at(float red, float green, float blue);
}
