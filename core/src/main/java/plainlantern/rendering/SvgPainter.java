package plainlantern.rendering;

import static plainlantern.outline.PathData.number;

import java.util.function.Function;
import plainlantern.geometry.Affine;
import plainlantern.outline.PathData;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.PictureItem;
import plainlantern.sheet.Paper;

/** Scene to SVG; one user unit is one millimetre. */
public final class SvgPainter {
    private SvgPainter() {}

    /**
     * A whole SVG document.
     *
     * @param href where the picture with an id is: a file, an address or a data URI
     */
    public static String document(Scene scene, Function<String, String> href) {
        String width = number(scene.width(), 5);
        String height = number(scene.height(), 5);
        StringBuilder out = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + width + "mm\" height=\"" + height + "mm\" viewBox=\"0 0 " + width + " " + height + "\">");
        if (scene.paper() instanceof Paper.Plain plain) {
            out.append("<rect width=\"").append(width).append("\" height=\"").append(height)
                    .append("\" fill=\"").append(plain.colour().hex()).append("\"/>");
        }
        for (Scene.Item item : scene.items()) out.append(item(item, href));
        return out.append("</svg>").toString();
    }

    /** One item as a group that clips its picture. */
    public static String item(Scene.Item item, Function<String, String> href) {
        PictureItem picture = (PictureItem) item;
        String clip = "clip-" + picture.element();
        return "<clipPath id=\"" + clip + "\"><path d=\"" + PathData.of(picture.clip()) + "\" clip-rule=\"evenodd\"/></clipPath>"
                + "<g clip-path=\"url(#" + clip + ")\"><image width=\"" + picture.width() + "\" height=\"" + picture.height()
                + "\" preserveAspectRatio=\"none\" data-picture=\"" + picture.picture() + "\" transform=\"" + matrix(picture.pixelsToSheet())
                + "\" href=\"" + href.apply(picture.picture()) + "\"/></g>";
    }

    /** An affine map as SVG writes it; nine decimals for what multiplies thousands of pixels. */
    public static String matrix(Affine m) {
        return "matrix(" + number(m.a(), 9) + " " + number(m.b(), 9) + " " + number(m.c(), 9) + " " + number(m.d(), 9) + " "
                + number(m.e(), 6) + " " + number(m.f(), 6) + ")";
    }
}
