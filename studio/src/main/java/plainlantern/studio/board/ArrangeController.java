package plainlantern.studio.board;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import plainlantern.arranging.Catches;
import plainlantern.arranging.Seams;
import plainlantern.arranging.Snaps;
import plainlantern.editing.forms.Overlapping;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Nodes;
import plainlantern.geometry.Point;
import plainlantern.geometry.Regions;
import plainlantern.outline.PathData;
import plainlantern.sheet.Element;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Sheets;

/** What the Arrange stage asks before it changes anything: forms of patterns, what catches a drag, seams, copies. */
@Controller
@RequestMapping("/sheets/{id}")
public class ArrangeController {
    private final Sheets sheets;
    private final Answers answers;

    ArrangeController(Sheets sheets, Answers answers) {
        this.sheets = sheets;
        this.answers = answers;
    }

    /** The form for a pattern; the kind "again" means the pattern that the selection came from. */
    @PostMapping(path = "/patterns/{kind}", produces = MediaType.TEXT_HTML_VALUE)
    @ResponseBody
    String form(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable String kind,
            @RequestParam(defaultValue = "") List<String> selected) {
        return answers.pattern(PatternForm.of(sheet(member, id), kind, selected));
    }

    /** What catches the panels {@code moving} while they are dragged. */
    @PostMapping("/snaps")
    @ResponseBody
    Snaps snaps(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam(defaultValue = "") List<String> moving) {
        return Snaps.of(sheet(member, id), moving);
    }

    @GetMapping("/seams")
    @ResponseBody
    List<Seams.Seam> seams(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        return Seams.of(sheet(member, id));
    }

    /** What catches a point that is drawn. */
    @PostMapping("/catches")
    @ResponseBody
    Catches catches(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        return Catches.of(sheet(member, id));
    }

    /** A form's points with their handles, on the sheet, contour by contour. */
    @PostMapping("/points")
    @ResponseBody
    List<List<Nodes.Node>> points(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String panel) {
        return Nodes.of(sheet(member, id).holder(panel).pathOnSheet()).contours();
    }

    /** A region into which forms part each other: its form and a place inside, on the sheet. */
    public record Region(String d, Point at, double area) {}

    @PostMapping("/regions")
    @ResponseBody
    List<Region> regions(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam List<String> panels) {
        Regions regions = Overlapping.of(sheet(member, id), panels, 1).regions();
        return IntStream.range(0, regions.count())
                .mapToObj(i -> new Region(PathData.of(regions.path(i)), regions.inside(i), regions.area(i))).toList();
    }

    /** What travels between sheets. */
    public record Copied(List<Element> panels, List<Picture> pictures) {}

    /** Elements as they are, with the pictures they show, to be pasted here or on another sheet. */
    @PostMapping("/copy")
    @ResponseBody
    Copied copy(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam List<String> panels) {
        Sheet sheet = sheet(member, id);
        // A vista stays behind: what was seen of it goes along as a picture of the panel's own.
        List<Element> copied = sheet.elements(panels).stream().map(e -> e.holding(holder -> Vistas.left(sheet, holder))).toList();
        Set<String> shown = new HashSet<>();
        for (Element element : copied) element.holder().ifPresent(h -> h.pictures().forEach(layer -> shown.add(sheet.pictureOf(layer))));
        return new Copied(copied, sheet.shelf().stream().filter(p -> shown.contains(p.id())).toList());
    }

    private Sheet sheet(Member member, UUID id) {
        return sheets.open(id, member.id()).sheet();
    }
}
