package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import plainlantern.asking.BadInput;
import plainlantern.editing.Remark;
import plainlantern.editing.Titles;
import plainlantern.geometry.Regions;
import plainlantern.geometry.Regions.Joined;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * Makes panels of the regions into which forms part each other: one of each group of regions. Each takes the place of the panel that
 * covers most of it, the frontmost of several that do, with its finish and what it shows; regions that are in no group are left out.
 *
 * @param groups numbers of regions, from 0, see {@link Regions}
 */
@JsonTypeName("make-regions")
public record MakeRegions(List<String> panels, List<List<Integer>> groups) implements FormEdit {
    private static final int MOST = 2000;

    public MakeRegions {
        BadInput.unless(panels != null && groups != null && !groups.isEmpty() && groups.stream().allMatch(g -> g != null && !g.isEmpty()),
                "groups", "Leave at least one region.");
        BadInput.unless(groups.stream().mapToInt(List::size).sum() <= MOST, "groups", "There are too many regions.");
        Set<Integer> all = new HashSet<>();
        for (List<Integer> group : groups) for (Integer region : group)
            BadInput.unless(region != null && region >= 0 && all.add(region), "groups", "A region can be in one piece only.");
    }

    @Override
    public Sheet apply(Sheet before) {
        Overlapping forms = Overlapping.of(before, panels, 1);
        Map<String, List<Holder>> pieces = pieces(before, forms);
        Set<String> sources = new HashSet<>(forms.panels().stream().map(Element::id).toList());
        Set<String> names = new HashSet<>(before.elements().stream().map(Element::name).toList());
        List<Element> next = new ArrayList<>();
        int lastId = before.lastId();
        for (Element element : before.elements()) {
            if (!sources.contains(element.id())) {
                next.add(element);
                continue;
            }
            boolean first = true;
            for (Holder piece : pieces.getOrDefault(element.id(), List.of())) {
                Holder named = first ? piece : piece.copied("p" + ++lastId, Titles.next(names, piece.name())).grouped(piece.group());
                names.add(named.name());
                next.add(named);
                first = false;
            }
        }
        return before.with(next, lastId);
    }

    /** The pieces by the panels whose place they take. */
    private Map<String, List<Holder>> pieces(Sheet before, Overlapping forms) {
        Map<String, List<Holder>> pieces = new HashMap<>();
        for (List<Integer> group : groups) {
            for (int region : group) BadInput.unless(region < forms.regions().count(), "groups",
                    "These regions have changed. Look at them again.");
            Joined joined = forms.regions().joined(group);
            if (joined.path().empty()) continue;
            Holder source = forms.panels().get(most(forms, group));
            pieces.computeIfAbsent(source.id(), id -> new ArrayList<>()).add(Overlapping.formed(before, source, joined.path()));
        }
        return pieces;
    }

    private static int most(Overlapping forms, List<Integer> group) {
        double[] covered = new double[forms.panels().size()];
        for (int region : group) {
            double area = forms.regions().area(region);
            forms.regions().owners(region).stream().forEach(owner -> covered[owner] += area);
        }
        int most = 0;
        for (int i = 1; i < covered.length; i++) if (covered[i] >= covered[most] - 1e-6) most = i;
        return most;
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        Regions regions = Overlapping.of(before, panels, 1).regions();
        return Overlapping.said(regions.small() + groups.stream().mapToDouble(group -> regions.joined(group).dropped()).sum());
    }

    /** All pieces. */
    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return after.elements().stream().map(Element::id).filter(id -> panels.contains(id) || before.find(id).isEmpty()).toList();
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Make regions", before, panels);
    }
}
