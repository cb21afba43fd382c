package plainlantern.checking;

import java.util.Optional;
import plainlantern.sheet.Colour;

/**
 * How well words stand out from what is behind them, which only pixels tell.
 *
 * @param ratio  the contrast ratio of WCAG 2.2 at the worst spot
 * @param plate  the smallest opacity of a plate that is enough, absent where none is
 * @param colour of that plate
 */
public record Legibility(double ratio, Optional<Double> plate, Colour colour) {}
