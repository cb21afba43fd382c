package plainlantern.incoming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static plainlantern.Sheets.after;

import java.awt.image.BufferedImage;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.geometry.Polygons;
import plainlantern.outline.Letters;
import plainlantern.picture.DecodedPictures;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Format;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** Drawings made elsewhere, compared with librsvg painting the same file, and our own deliveries coming back. */
class SvgReaderTest {
    private static final Sheet EMPTY = Sheet.empty("Brought", Unit.MM, 100, 80, 300);
    private static final byte[] PHOTO = Painted.encoded(Painted.scene(120, 80, BufferedImage.TYPE_INT_RGB), "png");
    private static final Picture TIDE = new Picture("b".repeat(64), "Tide", 120, 80);

    @TempDir
    private File folder;

    private static String svg(String inside) {
        return "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' width='100mm' height='80mm' "
                + "viewBox='0 0 100 80'>" + inside + "</svg>";
    }

    private static Sheet brought(String svg, Sheet onto) {
        Drawing drawing = SvgReader.read(svg);
        Map<String, Picture> pictures = drawing.images().keySet().stream().collect(Collectors.toMap(name -> name, name -> TIDE));
        return Brought.onto(onto, drawing, pictures, false).apply(onto);
    }

    /** Black forms on white, as librsvg paints the file, and as we paint the panels that came of it. */
    private void compared(String inside, int panels) throws Exception {
        String file = svg("<g fill='#000'>" + inside + "</g>");
        Files.writeString(folder.toPath().resolve("in.svg"), file);
        Painted.run(folder, "rsvg-convert", "-w", "600", "-h", "480", "-b", "white", "-o", "theirs.png", "in.svg");
        Sheet sheet = brought(file, EMPTY);
        assertThat(sheet.panels()).as(inside).hasSize(panels);
        String ids = sheet.panels().stream().map(p -> "'" + p.id() + "'").collect(Collectors.joining(","));
        Sheet black = after(sheet, "{'kind':'add-layer','panels':[" + ids + "],'what':'wash'}", "{'kind':'set-wash','panels':[" + ids
                + "],'layer':0,'stops':[{'at':0,'colour':'#000000','opacity':1}],'turn':0,'round':false}");
        BufferedImage ours = RasterPainter.paint(Scene.of(black), 152.4, false, new DecodedPictures(id -> PHOTO));
        assertThat(Painted.difference(ImageIO.read(new File(folder, "theirs.png")), ours)).as(inside).isLessThan(0.35);
    }

    /** All commands of SVG's path grammar and all basic shapes, with transforms, fill rules, uses, symbols and nested view boxes. */
    @Test
    void formsAreWhereTheyWereDrawn() throws Exception {
        compared("<path d='M10 10h30v20H10z'/>", 1);
        compared("<path d='m10,10 20,0 5,15-10 8q-20 5-15-8t5-10zM60 40c10-20 30-20 30 0s-20 20-30 0z'/>", 1);
        compared("<path d='M20 20a15 8 30 1 0 25 5A12 12 0 0 1 70 40L60 60Q40 70 30 50T12 40C12 38 10 30 15 25S18 21 20 20Z'/>", 1);
        compared("<path d='M10 40Q20 5 30 40S50 75 60 40T90 40V75H10ZM15 50T35 45S60 65 85 55v10Z'/>", 1);
        compared("<path fill-rule='evenodd' d='M10 10H90V70H10ZM30 25H70V55H30Z'/>", 1);
        compared("<path d='M10 10H90V70H10ZM30 25H70V55H30Z'/>", 1);
        compared("<rect x='10' y='10' width='40' height='20' rx='6'/><rect x='60' y='10' width='30' height='30' rx='15' ry='5'/>", 2);
        compared("<circle cx='30' cy='30' r='20'/><ellipse cx='70' cy='50' rx='25' ry='10' transform='rotate(20 70 50)'/>", 2);
        compared("<polygon points='10,70 30,10 50,70'/><polyline points='60,70 75,10 90,70 70,40'/>", 2);
        compared("<rect x='-10' y='-5' width='20' height='10' transform='translate(50 40) rotate(30) scale(2)'/>", 1);
        compared("<g transform='matrix(1 .3 -.2 1 20 10)'><g transform='skewX(10)'><rect width='30' height='30'/></g></g>", 1);
        compared("<defs><rect id='r' width='10' height='20'/></defs><use href='#r' x='10' y='10'/><use xlink:href='#r' x='50' y='30'/>", 2);
        compared("<symbol id='s' viewBox='0 0 10 10'><circle cx='5' cy='5' r='5'/></symbol><use href='#s' x='10' y='10' "
                + "width='40' height='40'/>", 1);
        compared("<svg x='20' y='10' width='40' height='40' viewBox='0 0 10 10'><path d='M0 0L10 5L0 10Z'/></svg>", 1);
        compared("<style>.no{display:none}#gone{visibility:hidden}</style><rect class='no' width='50' height='50'/><rect "
                + "id='gone' width='9' "
                + "height='9'/><rect x='30' y='30' width='9' height='9'/><rect style='display:none' width='99' height='9'/>", 1);
        compared("<clipPath id='c'><circle cx='50' cy='40' r='20'/></clipPath><rect x='10' y='30' width='80' height='20' "
                + "clip-path='url(#c)'/>", 1);
    }

    /** The path grammar's odd spellings (SVG 1.1, 8.3.9): the same form each time. */
    @Test
    void oddSpellingsOfPaths() {
        double area = 10 * 10 / 2.0;
        for (String d : List.of("M 10,10 L 20,10 L 10,20 z", "M10 10 20 10 10 20z", "m10 10l10 0-10 10z", "M10,10H2e1L1e1,20Z",
                "M1e1 10L20.0 10.L10-.0 10 20Z"
                .replace("L10-.0 10 20", "L10 20"), "M.1e2,10L+20,10 10,20Z"))
            assertThat(Polygons.area(((Drawing.Form) SvgReader.read(svg("<path d='" + d + "'/>")).things().get(0).kind()).shape().path()))
                    .as(d).isCloseTo(area, within(1e-3));
        Sheet bare = brought("M0 0H96V96H0Z", EMPTY);
        assertThat(bare.panels().get(0).seat().width()).isCloseTo(25.4, within(1e-4));
    }

    /** Names come from titles, labels and ids; groups stay groups; a line is a rule; images lie where they lay, under their clips. */
    @Test
    void namesGroupsLinesAndPictures() {
        String image = "data:image/png;base64," + Base64.getEncoder().encodeToString(PHOTO);
        Sheet sheet = brought(svg("<g id='pair'><rect id='Ebb' width='10' height='10'/><rect x='20' width='10' "
                + "height='10'><title>Flow</title></rect></g>"
                + "<path xmlns:a='urn:a' a:label='Mud' d='M0 40h10v10z'/><line x1='10' y1='60' x2='90' y2='60' stroke='#123456' "
                + "stroke-width='2'/>"
                + "<clipPath id='k'><circle cx='50' cy='30' r='10'/></clipPath><g clip-path='url(#k)'><image href='" + image
                + "' x='38' y='20' width='30' height='20'/></g><image href='" + image + "' x='70' y='20' width='20' height='20'/>"
                + "<image href='https://example.org/a.png' width='9' height='9'/><text x='5' y='5'>hello</text><rect "
                + "filter='url(#f)' width='5' height='5'/>"), EMPTY);
        assertThat(sheet.elements()).extracting(Element::name).startsWith("Ebb", "Flow", "Mud");
        assertThat(sheet.elements().get(0).group()).isNotEmpty().isEqualTo(sheet.elements().get(1).group());
        assertThat(sheet.elements().get(2).group()).isEmpty();
        assertThat(sheet.elements().stream().flatMap(e -> e.rule().stream())).hasSize(1)
                .allMatch(rule -> Math.abs(rule.finish().rim().orElseThrow().width() - 2) < 1e-6);
        List<Panel> shown = sheet.panels().stream().filter(p -> !p.pictures().isEmpty()).toList();
        assertThat(shown).hasSize(2);
        assertThat(shown.get(0).pictures().get(0).flat().pose().scaleX()).isCloseTo(0.25, within(1e-6));
        assertThat(shown.get(0).seat().width()).isCloseTo(20, within(1e-4));
        // 30 by 20 of three to two in a square of 20: as wide as that.
        assertThat(shown.get(1).pictures().get(0).flat().pose().scaleX()).isCloseTo(20 / 120.0, within(1e-6));
        Drawing drawing = SvgReader.read(svg("<rect filter='url(#f)' width='5' height='5'/><text>a</text><text>b</text><image "
                + "href='x.png'/>"));
        assertThat(drawing.missed()).containsEntry("filter", 1).containsEntry("text", 2).containsEntry("linked picture", 1);
    }

    /** Words in a typeface that is known here become letters that begin where it says; others are told of. */
    @Test
    void wordsInAKnownTypefaceAreLetters() {
        Sheet sheet = brought(svg("<g font-family='Oswald, sans-serif' font-weight='bold'>"
                + "<text x='10' y='40' font-size='12'>Low tide</text>"
                + "<text transform='translate(60 60) rotate(-20)' style='font-size:6px' text-anchor='middle'>Mud</text></g>"
                + "<text x='5' y='70' font-size='9' font-family='Quay Sans'>gone</text>"), EMPTY);
        assertThat(sheet.panels()).extracting(Panel::name).containsExactly("Low tide", "Mud");
        Letters letters = sheet.panels().get(0).outline().letters().orElseThrow();
        assertThat(letters.spelling().face().weight()).isEqualTo(700);
        Box box = sheet.panels().get(0).boundsOnSheet();
        assertThat(box.x()).isCloseTo(10 + 12 * letters.inked().x(), within(1e-3));
        assertThat(box.y()).isCloseTo(40 + 12 * letters.inked().y(), within(1e-3));
        assertThat(box.width()).isCloseTo(12 * letters.inked().width(), within(1e-3));
        assertThat(sheet.panels().get(1).seat().turn()).isCloseTo(-20, within(1e-6));
        assertThat(SvgReader.read(svg("<rect width='9' height='9'/><text font-family='Quay Sans'>gone</text>")).missed())
                .containsEntry("text", 1);
    }

    /** Our own hand-over comes back: the same panels with the same names in the same places, looking the same. */
    @Test
    void ourOwnDeliveryComesBack() {
        Sheet sheet = after(EMPTY.withShelf(List.of(TIDE)),
                "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','columns':2,'rows':2,"
                + "'gapAcross':0,'gapDown':4,'columnWeights':'','rowWeights':'','merged':[]}}",
                "{'kind':'make-vista','panels':['p1','p2','p3'],'picture':'" + TIDE.id() + "'}",
                "{'kind':'add-letters','spelling':{'text':'Ebb','face':{'family':'Rubik','weight':900},'leading':1,'tracking':0}}",
                "{'kind':'fill','panels':['p6'],'picture':'" + TIDE.id() + "'}",
                "{'kind':'set-finish','panels':['p6'],'width':'1 mm','colour':'#AA3300','side':'outside'}",
                "{'kind':'remove','panels':['p4']}", "{'kind':'rename','panel':'p2','name':'Wharf & <quay>'}");
        String file = new String(Delivery.of(Format.SVG, 254).file(Page.of(Scene.of(sheet)), new DecodedPictures(id -> PHOTO)),
                StandardCharsets.UTF_8);
        Sheet back = brought(file, EMPTY);
        assertThat(back.panels()).extracting(Panel::name).containsExactlyElementsOf(sheet.panels().stream().map(Panel::name).toList());
        for (int i = 0; i < sheet.panels().size(); i++) {
            Panel was = sheet.panels().get(i);
            Panel is = back.panels().get(i);
            assertThat(is.boundsOnSheet().centre().distance(was.boundsOnSheet().centre())).as(was.name()).isLessThan(0.001);
            assertThat(Polygons.area(is.ownPath())).isCloseTo(Polygons.area(was.ownPath()), within(0.5));
            assertThat(is.pictures().size()).isEqualTo(was.pictures().size());
        }
        assertThat(back.panels().get(3).finish().rim().orElseThrow().width()).isCloseTo(1, within(1e-3));
        BufferedImage theirs = RasterPainter.paint(Scene.of(sheet), 152.4, false, new DecodedPictures(id -> PHOTO));
        BufferedImage ours = RasterPainter.paint(Scene.of(back), 152.4, false, new DecodedPictures(id -> PHOTO));
        assertThat(Painted.difference(theirs, ours)).isLessThan(0.5);
    }

    /** Hostile and broken files are refused in words, soon; nothing is fetched. */
    @Test
    void hostileFiles() {
        String deep = "<g>".repeat(1_000_000) + "</g>".repeat(1_000_000);
        Map<String, String> files = new HashMap<>();
        files.put(svg(deep), "groups within each other");
        files.put("<!DOCTYPE svg [<!ENTITY a 'aaaaaaaaaa'><!ENTITY b '&a;&a;&a;&a;'>]>" + svg("<text>&b;</text>"), "entities");
        files.put("<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/passwd'>]>" + svg("<text>&x;</text>"), "entities");
        files.put(svg("<script>alert(1)</script>"), "no form");
        files.put(svg(""), "no form");
        files.put("<html/>", "no SVG");
        files.put("hello", "no SVG");
        files.put(svg("<rect width='10'"), "line");
        files.put(svg("<path d='M1e308 0L-1e308 5L0 1e308Z'/>"), "");
        files.put(svg("<rect width='10' height='10' transform='scale(1e300)'/>"), "");
        files.put(svg("<path d='" + "M0 0L1 1L2 0Z".repeat(60_000) + "'/>"), "points");
        files.put(svg("<rect width='9' height='9'/>".repeat(2001)), "2000 forms");
        files.put("x".repeat(10_000_001), "10 MB");
        long start = System.nanoTime();
        files.forEach((file, why) -> assertThatThrownBy(() -> brought(file, EMPTY)).as(file.substring(0, Math.min(80, file.length())))
                .isInstanceOf(BadInput.class).hasMessageContaining(why));
        assertThat((System.nanoTime() - start) / 1e9).isLessThan(60);
        assertThat(brought("<!DOCTYPE svg PUBLIC '-//W3C//DTD SVG 1.1//EN' 'http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd'>"
                + svg("<use href='http://example.org/x.svg#a'/><style>@import url(http://example.org/a.css);</style><rect "
                + "width='9' height='9' "
                + "fill='url(http://example.org/p.svg#g)' onclick='alert(1)'/>"), EMPTY).panels()).hasSize(1);
    }
}
