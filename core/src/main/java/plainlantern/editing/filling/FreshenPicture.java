package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/**
 * Puts a newer drawing of another sheet in the place of the one on the shelf, wherever that is shown; places, tones and looks stay. The
 * caller vouches that the picture belongs to the sheet's owner.
 *
 * @param picture the picture that goes
 * @param by      the one that comes, under the old one's name
 */
@JsonTypeName("freshen")
public record FreshenPicture(String picture, Picture by) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Picture old = before.picture(picture);
        Picture fresh = new Picture(by.id(), old.name(), by.width(), by.height(), old.focal(), by.taken(), by.foot(), old.treatment());
        boolean there = before.shelf().stream().anyMatch(p -> p.id().equals(by.id()));
        List<Picture> both = new ArrayList<>(before.shelf());
        if (!there) both.add(both.indexOf(old), fresh);
        Sheet with = before.withShelf(both);
        List<String> users = with.users(picture).stream().map(holder -> holder.id()).toList();
        Sheet shown = users.isEmpty() ? with : with.holding(users, panel -> panel.changingOwn(own -> own.shows(picture)
                ? ReplacePicture.replaced(with, panel, own, fresh).treated(own.treatment()) : own));
        Sheet seen = shown.changingVistas(v -> v.picture().equals(picture) ? v.showing(fresh).treated(v.treatment()) : v);
        Sheet behind = seen.paper().pictured().filter(p -> p.picture().equals(picture))
                .map(p -> seen.withPaper(p.showing(fresh).treated(p.treatment()))).orElse(seen);
        return behind.withShelf(both.stream().filter(p -> !p.id().equals(picture) || p.id().equals(by.id())).toList());
    }

    @Override
    public String title(Sheet before) {
        return "Drawn anew: " + before.picture(picture).name();
    }
}
