package plainlantern.sheet;

import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;

/**
 * How a picture is seen where it lies: bent in the frame of its panel, then blurred.
 *
 * @param how     bend and blur, in mm; nothing is shifted
 * @param toPanel from shares of the picture's width and height to the panel's frame, mm
 * @param box     of the panel's form, there
 */
public record Lens(Through how, Affine toPanel, Box box) {}
