package plainlantern.rendering;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.stream.IntStream;
import javax.xml.transform.TransformerException;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.util.Matrix;
import org.apache.xmpbox.XMPMetadata;
import org.apache.xmpbox.schema.PDFAIdentificationSchema;
import org.apache.xmpbox.type.BadFieldValueException;
import org.apache.xmpbox.xml.XmpSerializer;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Glazes;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;

/** Pages as one PDF 1.7 file that is PDF/A-2b (ISO 19005-2): all colours sRGB, fonts embedded, boxes for trim and bleed. */
final class PdfDelivery {
    private static final String MAKER = "Plain Lantern";
    /** A page's longest side, ISO 32000-1, annex C. */
    private static final double MOST_POINTS = 14_400;
    private static final double POINT = Unit.MM_PER_INCH / 72;
    /**
     * Cut marks (common practice): at least 3 mm away from the trimmed edge and outside the bleed, 5 mm long, a quarter of a point wide.
     */
    private static final double AWAY = 3;
    private static final double LONG = 5;
    private static final double THIN = 0.25;

    private PdfDelivery() {}

    static void write(Delivery delivery, List<Page> pages, PictureSource pictures, Progress progress, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache())) {
            describe(document, pages.get(0).sheet());
            List<Scene> scenes = pages.stream().map(delivery::scene).toList();
            List<Scene> seen = IntStream.range(0, pages.size()).mapToObj(i -> Glazes.uncovered(scenes.get(i), pages.get(i).box())).toList();
            PdfPainter painter = new PdfPainter(document, delivery, Placed.needed(seen), Glazing.of(scenes, pictures));
            for (int i = 0; i < pages.size(); i++) {
                page(document, delivery, pages.get(i), painter.form(seen.get(i), pages.get(i).box(),
                        progress.part((double) i / pages.size(), (i + 0.9) / pages.size())));
            }
            painter.finish();
            document.save(out);
        }
    }

    private static void page(PDDocument document, Delivery delivery, Page page, PDFormXObject form) throws IOException {
        double scale = delivery.scale() / POINT;
        double away = delivery.marks() ? Math.max(AWAY, page.bleed() * delivery.scale()) : page.bleed() * delivery.scale();
        double room = (delivery.marks() ? away + LONG + 1 : away) / POINT;
        double width = page.trim().width() * scale;
        double height = page.trim().height() * scale;
        BadInput.unless(Math.max(width, height) + 2 * room <= MOST_POINTS, "scale",
                "A page of a PDF is at most 5.08 m long. Choose a smaller scale.");
        PDPage sheet = new PDPage(rectangle(0, 0, width + 2 * room, height + 2 * room));
        sheet.setTrimBox(rectangle(room, room, width, height));
        double bleed = page.bleed() * scale;
        sheet.setBleedBox(rectangle(room - bleed, room - bleed, width + 2 * bleed, height + 2 * bleed));
        sheet.getCOSObject().setItem("Group", PdfPainter.group(false));
        document.addPage(sheet);
        try (PDPageContentStream to = new PDPageContentStream(document, sheet)) {
            to.saveGraphicsState();
            Box trim = page.trim();
            to.transform(new Matrix((float) scale, 0, 0, (float) -scale, (float) (room - trim.x() * scale),
                    (float) (room + height + trim.y() * scale)));
            to.drawForm(form);
            to.restoreGraphicsState();
            if (delivery.marks()) marks(to, room, width, height, away / POINT);
        }
    }

    /** Two lines at each corner of the trimmed page. */
    private static void marks(PDPageContentStream to, double room, double width, double height, double away) throws IOException {
        to.setStrokingColor(0f, 0f, 0f);
        to.setLineWidth((float) THIN);
        for (double x : new double[] {room, room + width}) {
            line(to, x, room - away, x, room - away - LONG / POINT);
            line(to, x, room + height + away, x, room + height + away + LONG / POINT);
        }
        for (double y : new double[] {room, room + height}) {
            line(to, room - away, y, room - away - LONG / POINT, y);
            line(to, room + width + away, y, room + width + away + LONG / POINT, y);
        }
    }

    private static void line(PDPageContentStream to, double x1, double y1, double x2, double y2) throws IOException {
        to.moveTo((float) x1, (float) y1);
        to.lineTo((float) x2, (float) y2);
        to.stroke();
    }

    private static PDRectangle rectangle(double x, double y, double width, double height) {
        return new PDRectangle((float) x, (float) y, (float) width, (float) height);
    }

    /** The title, the colours that are meant, and which standard the file keeps to; no dates, so that the same sheet is the same file. */
    private static void describe(PDDocument document, String title) throws IOException {
        document.setVersion(1.7f);
        document.setDocumentId((long) title.hashCode());
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setCreator(MAKER);
        byte[] srgb = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
        PDOutputIntent intent = new PDOutputIntent(document, new ByteArrayInputStream(srgb));
        intent.setInfo("sRGB IEC61966-2.1");
        intent.setOutputCondition("sRGB IEC61966-2.1");
        intent.setOutputConditionIdentifier("sRGB IEC61966-2.1");
        intent.setRegistryName("http://www.color.org");
        document.getDocumentCatalog().addOutputIntent(intent);
        XMPMetadata xmp = XMPMetadata.createXMPMetadata();
        try {
            PDFAIdentificationSchema standard = xmp.createAndAddPDFAIdentificationSchema();
            standard.setPart(2);
            standard.setConformance("B");
            xmp.createAndAddDublinCoreSchema().setTitle(title);
            xmp.createAndAddXMPBasicSchema().setCreatorTool(MAKER);
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            new XmpSerializer().serialize(xmp, bytes, true);
            PDMetadata metadata = new PDMetadata(document);
            metadata.importXMPMetadata(bytes.toByteArray());
            document.getDocumentCatalog().setMetadata(metadata);
        } catch (BadFieldValueException | TransformerException e) {
            throw new IllegalStateException(e);
        }
    }
}
