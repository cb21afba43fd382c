package plainlantern.picture;

import java.awt.color.ICC_Profile;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import plainlantern.picture.MatrixProfile.Primaries;
import plainlantern.sheet.Light;

/**
 * Colours as coding-independent code points tell them (ITU-T H.273, tables 2 and 3; PNG 3, 11.3.2.6). Of light above the white of
 * paper, which HDR pictures have (BT.2408: 203 cd/m²), nothing is left: paper has none.
 */
final class CodePoints {
    private static final double PAPER_NITS = 203;
    /** What HLG's white of paper, 75 % of the signal, is as light. */
    private static final double PAPER_HLG = hlg(0.75);

    /** From the scene's light to the display's, BT.2100, of greys; colours get a little more chroma than by the luminance rule there. */
    private static final double HLG_SYSTEM = 1.2;

    private CodePoints() {}

    /** Empty where the colours are sRGB, or a number is none that is known. */
    static Optional<ICC_Profile> profile(int primaries, int transfer, boolean fullRange) {
        Optional<Primaries> where = primaries(primaries);
        Optional<DoubleUnaryOperator> curve = transfer(transfer);
        if (where.isEmpty() || curve.isEmpty() || primaries == 1 && transfer == 13 && fullRange) return Optional.empty();
        DoubleUnaryOperator linear = curve.get();
        return Optional.of(MatrixProfile.of(where.get(), fullRange ? linear
                : stored -> linear.applyAsDouble(Math.max(0, (stored * 255 - 16) / 219))));
    }

    private static Optional<Primaries> primaries(int code) {
        return Optional.ofNullable(switch (code) {
            case 1 -> Primaries.of(0.64, 0.33, 0.3, 0.6, 0.15, 0.06, 0.3127, 0.329);
            case 4 -> Primaries.of(0.67, 0.33, 0.21, 0.71, 0.14, 0.08, 0.31, 0.316);
            case 5 -> Primaries.of(0.64, 0.33, 0.29, 0.6, 0.15, 0.06, 0.3127, 0.329);
            case 6, 7 -> Primaries.of(0.63, 0.34, 0.31, 0.595, 0.155, 0.07, 0.3127, 0.329);
            case 8 -> Primaries.of(0.681, 0.319, 0.243, 0.692, 0.145, 0.049, 0.31, 0.316);
            case 9 -> Primaries.of(0.708, 0.292, 0.17, 0.797, 0.131, 0.046, 0.3127, 0.329);
            case 11 -> Primaries.of(0.68, 0.32, 0.265, 0.69, 0.15, 0.06, 0.314, 0.351);
            case 12 -> Primaries.of(0.68, 0.32, 0.265, 0.69, 0.15, 0.06, 0.3127, 0.329);
            case 22 -> Primaries.of(0.63, 0.34, 0.295, 0.605, 0.155, 0.077, 0.3127, 0.329);
            default -> null;
        });
    }

    private static Optional<DoubleUnaryOperator> transfer(int code) {
        return Optional.ofNullable(switch (code) {
            // Of video the display's curve counts, not the camera's: BT.1886, with a black that is none.
            case 1, 6, 14, 15 -> v -> Math.pow(v, 2.4);
            case 4 -> v -> Math.pow(v, 2.2);
            case 5 -> v -> Math.pow(v, 2.8);
            case 7 -> v -> v < 0.0913 ? v / 4 : Math.pow((v + 0.1115) / 1.1115, 1 / 0.45);
            case 8 -> v -> v;
            case 13 -> Light::behind;
            case 16 -> v -> pq(v) * 10_000 / PAPER_NITS;
            case 17 -> v -> Math.pow(v, 2.6) * 52.37 / 48;
            case 18 -> v -> Math.pow(hlg(v) / PAPER_HLG, HLG_SYSTEM);
            default -> null;
        });
    }

    /** SMPTE ST 2084, 1 for 10 000 cd/m². */
    private static double pq(double v) {
        double power = Math.pow(v, 32 / 2523.0);
        return Math.pow(Math.max(0, power - 0.8359375) / (18.8515625 - 18.6875 * power), 16384 / 2610.0);
    }

    /** ARIB STD-B67, 1 for the brightest. */
    private static double hlg(double v) {
        return v <= 0.5 ? v * v / 3 : (Math.exp((v - 0.55991073) / 0.17883277) + 0.28466892) / 12;
    }
}
