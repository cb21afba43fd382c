package plainlantern.rendering;

import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.common.function.PDFunctionType3;
import org.apache.pdfbox.pdmodel.graphics.blend.BlendMode;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType2;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType3;
import plainlantern.geometry.Point;
import plainlantern.scene.Scene.PaintedWash;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Stop;

/** Colours and their runs in PDF's words. */
final class PdfShadings {
    private PdfShadings() {}

    /** A wash of several opaque colours. */
    static PDShading shading(PaintedWash wash) throws IOException {
        COSDictionary dictionary = new COSDictionary();
        Point way = wash.to().minus(wash.from());
        PDShadingType2 shading = wash.round() ? new PDShadingType3(dictionary) : new PDShadingType2(dictionary);
        shading.setShadingType(wash.round() ? PDShading.SHADING_TYPE3 : PDShading.SHADING_TYPE2);
        shading.setColorSpace(PDDeviceRGB.INSTANCE);
        Point from = wash.from();
        shading.setCoords(wash.round() ? numbers(from.x(), from.y(), 0, from.x(), from.y(), Math.hypot(way.x(), way.y()))
                : numbers(from.x(), from.y(), wash.to().x(), wash.to().y()));
        COSArray extend = new COSArray();
        extend.add(COSBoolean.TRUE);
        extend.add(COSBoolean.TRUE);
        shading.setExtend(extend);
        shading.setFunction(new PDFunctionType3(stitched(wash.stops())));
        return shading;
    }

    /** One straight run from each stop to the next; before the first and after the last its own colour. */
    private static COSDictionary stitched(List<Stop> stops) {
        COSArray functions = new COSArray();
        COSArray bounds = new COSArray();
        COSArray encode = new COSArray();
        Stop last = stops.get(0);
        double reached = 0;
        for (int i = 0; i <= stops.size(); i++) {
            Stop next = stops.get(Math.min(i, stops.size() - 1));
            double end = i == stops.size() ? 1 : next.at();
            if (end <= reached && i < stops.size()) {
                last = next;
                continue;
            }
            if (functions.size() > 0) bounds.add(new COSFloat((float) reached));
            functions.add(run(last.colour().rgb(), next.colour().rgb()));
            encode.add(COSInteger.ZERO);
            encode.add(COSInteger.ONE);
            reached = end;
            last = next;
            if (reached >= 1) break;
        }
        COSDictionary stitched = new COSDictionary();
        stitched.setInt(COSName.FUNCTION_TYPE, 3);
        stitched.setItem(COSName.DOMAIN, numbers(0, 1));
        stitched.setItem(COSName.FUNCTIONS, functions);
        stitched.setItem(COSName.BOUNDS, bounds);
        stitched.setItem(COSName.ENCODE, encode);
        return stitched;
    }

    private static COSDictionary run(int from, int to) {
        COSDictionary run = new COSDictionary();
        run.setInt(COSName.FUNCTION_TYPE, 2);
        run.setItem(COSName.DOMAIN, numbers(0, 1));
        run.setItem(COSName.C0, numbers(red(from), green(from), blue(from)));
        run.setItem(COSName.C1, numbers(red(to), green(to), blue(to)));
        run.setInt(COSName.N, 1);
        return run;
    }

    private static COSArray numbers(double... values) {
        COSArray array = new COSArray();
        for (double value : values) array.add(new COSFloat((float) value));
        return array;
    }

    static float red(int rgb) {
        return (rgb >> 16 & 0xFF) / 255f;
    }

    static float green(int rgb) {
        return (rgb >> 8 & 0xFF) / 255f;
    }

    static float blue(int rgb) {
        return (rgb & 0xFF) / 255f;
    }

    /** ISO 32000-1, 11.3.5: the same sixteen. */
    static BlendMode blend(Blend blend) {
        return switch (blend) {
            case NORMAL -> BlendMode.NORMAL;
            case MULTIPLY -> BlendMode.MULTIPLY;
            case SCREEN -> BlendMode.SCREEN;
            case OVERLAY -> BlendMode.OVERLAY;
            case DARKEN -> BlendMode.DARKEN;
            case LIGHTEN -> BlendMode.LIGHTEN;
            case COLOR_DODGE -> BlendMode.COLOR_DODGE;
            case COLOR_BURN -> BlendMode.COLOR_BURN;
            case HARD_LIGHT -> BlendMode.HARD_LIGHT;
            case SOFT_LIGHT -> BlendMode.SOFT_LIGHT;
            case DIFFERENCE -> BlendMode.DIFFERENCE;
            case EXCLUSION -> BlendMode.EXCLUSION;
            case HUE -> BlendMode.HUE;
            case SATURATION -> BlendMode.SATURATION;
            case COLOR -> BlendMode.COLOR;
            case LUMINOSITY -> BlendMode.LUMINOSITY;
        };
    }
}
