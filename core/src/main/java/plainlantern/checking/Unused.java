package plainlantern.checking;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import plainlantern.editing.filling.UnshelvePictures;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** Pictures of the shelf that are used nowhere. */
final class Unused implements Check {
    @Override
    public String title() {
        return "Pictures never used";
    }

    @Override
    public List<Fault> find(Checked checked) {
        Sheet sheet = checked.sheet();
        String paper = sheet.paper().pictured().map(Paper.Pictured::picture).orElse("");
        Set<String> used = sheet.holders().stream().flatMap(h -> h.pictures().stream()).map(sheet::pictureOf).collect(Collectors.toSet());
        List<String> idle = sheet.shelf().stream().map(Picture::id).filter(id -> !used.contains(id) && !id.equals(paper)).toList();
        if (idle.isEmpty()) return List.of();
        String says = idle.size() == 1 ? sheet.picture(idle.get(0)).name() + " is on the shelf and used nowhere."
                : idle.size() + " pictures of the shelf are used nowhere.";
        return List.of(new Fault(Weight.NOTE, List.of(), says, sheet.bounds(), Optional.of(new UnshelvePictures(idle))));
    }
}
