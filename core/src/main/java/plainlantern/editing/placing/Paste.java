package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.editing.Added;
import plainlantern.editing.Outside;
import plainlantern.editing.dressing.Recolour;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.fitting.Veils;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Styles;

/**
 * Puts copied panels, perhaps from another sheet, in front of all others, with the pictures they show. The caller vouches that the
 * pictures belong to the sheet's owner.
 *
 * @param dx mm by which the copies are moved
 * @param dy likewise
 */
@JsonTypeName("paste")
public record Paste(List<Element> panels, List<Picture> pictures, double dx, double dy) implements PlacingEdit {
    public Paste {
        panels = panels == null ? List.of() : List.copyOf(panels);
        pictures = pictures == null ? List.of() : List.copyOf(pictures);
    }

    @Override
    public Paste completed(Outside outside, Sheet before) {
        return new Paste(panels, outside.owned(pictures), dx, dy);
    }

    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(!panels.isEmpty(), "panels", "Nothing was copied yet.");
        Sheet shelved = new ShelvePictures(pictures).apply(before);
        List<Element> next = new ArrayList<>(before.elements());
        Map<String, String> groups = new HashMap<>();
        int lastId = before.lastId();
        Map<String, String> copies = new HashMap<>();
        for (int i = 0; i < panels.size(); i++) copies.put(panels.get(i).id(), "p" + (lastId + 1 + i));
        for (Element panel : panels) {
            lastId++;
            int number = lastId;
            String group = panel.group().isEmpty() ? "" : groups.computeIfAbsent(panel.group(), g -> "g" + number);
            String name = panel.name().length() > 60 ? panel.name().substring(0, 60) : panel.name();
            Seat seat = panel.seat().at(panel.seat().centre().plus(new Point(dx, dy)));
            Element copy = veiled(before, atHome(before, panel), copies).copied("p" + lastId, name).grouped(group).withSeat(seat);
            next.add(Sheet.front(next, copy), copy);
        }
        return shelved.with(next, lastId);
    }

    /** The same following only what this sheet has just so: a finish and colours of another sheet stay what they look like. */
    private static Element atHome(Sheet sheet, Element panel) {
        Styles styles = sheet.styles();
        Element plain = Recolour.of(panel, c -> styles.swatch(c.swatch()).map(s -> s.colour().equals(c)).orElse(false) ? c : c.linked(""));
        return followingTones(styles, followingFinish(styles, plain));
    }

    /** What is hidden where a panel lies that was copied, too, is hidden where its copy lies; where others lie, only on one sheet. */
    private static Element veiled(Sheet sheet, Element panel, Map<String, String> copies) {
        Optional<Element> was = sheet.find(panel.id());
        return Veils.changing(panel, veil -> veil.naming(form -> Optional.ofNullable(copies.get(form))
                .or(() -> Optional.of(form).filter(id -> was.filter(w -> Veils.all(w).contains(veil)).isPresent()))));
    }

    private static Element followingTones(Styles styles, Element panel) {
        return panel.holding(h -> h.changingPictures(p -> p.treated(p.treatment().toning(t ->
                styles.tones().stream().anyMatch(n -> n.tone().equals(t)) ? t : t.following(Optional.empty())))));
    }

    private static Element followingFinish(Styles styles, Element plain) {
        boolean known = styles.finishes().stream().anyMatch(f -> f.finish().equals(plain.finish()));
        return known ? plain : plain.finished(plain.finish().following(Optional.empty()));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return panels.size() == 1 ? "Paste: " + panels.get(0).name() : "Paste: " + panels.size() + " panels";
    }
}
