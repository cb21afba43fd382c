package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.stream.Collectors;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** Takes pictures off the shelf. One that a panel shows stays, and the refusal says where it is used. */
@JsonTypeName("unshelve")
public record UnshelvePictures(List<String> pictures) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        for (String picture : pictures) {
            boolean paper = before.paper().pictured().map(p -> p.picture().equals(picture)).orElse(false);
            BadInput.unless(!paper, "pictures", before.picture(picture).name() + " stays on the shelf: it is the paper.");
            List<Holder> users = before.users(picture);
            BadInput.unless(users.isEmpty(), "pictures", before.picture(picture).name() + " stays on the shelf: it is used in "
                    + users.stream().limit(3).map(Element::name).collect(Collectors.joining(", "))
                    + (users.size() > 3 ? " and " + (users.size() - 3) + " more." : "."));
        }
        return before.withShelf(before.shelf().stream().filter(p -> !pictures.contains(p.id())).toList());
    }

    @Override
    public String title(Sheet before) {
        return pictures.size() == 1 ? "Remove " + before.picture(pictures.get(0)).name() + " from the shelf"
                : "Remove " + pictures.size() + " pictures from the shelf";
    }
}
