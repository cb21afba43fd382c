package plainlantern.studio.board;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.editing.Foreseen;
import plainlantern.editing.Laid;
import plainlantern.outline.PathData;
import plainlantern.rendering.Addresses;
import plainlantern.rendering.BoardPainter;

/**
 * What the page needs to show what an edit would give; what it would not give is left out.
 *
 * @param changed the elements that would be new or different
 * @param paper   what would lie behind all panels, where that would be different
 * @param cells   the pieces of a pattern
 * @param lost    what content would go, in words
 * @param across  the ends of a grid's columns, mm
 */
@JsonInclude(JsonInclude.Include.NON_ABSENT)
record ForeseenView(List<Answer.Part> changed, Optional<String> paper, List<Map<String, Object>> vistas, Optional<String> says,
        Optional<DealView> deal, Optional<List<String>> cells, Optional<String> lost, Optional<List<double[]>> across,
        Optional<List<double[]>> down) {
    static ForeseenView of(Foreseen seen, Addresses board) {
        List<Answer.Part> changed = Answers.changed(seen.before(), seen.after()).parallelStream()
                .map(e -> new Answer.Part(e.id(), BoardPainter.of(seen.after(), e).board(board), "")).toList();
        Optional<DealView> deal = seen.dealt().isEmpty() ? Optional.empty() : Optional.of(DealView.of(seen.before(), seen.dealt()));
        Optional<Laid> laid = seen.laid();
        Optional<String> paper = seen.after().paper().equals(seen.before().paper()) ? Optional.empty()
                : Optional.of(BoardPainter.paper(seen.after(), board));
        return new ForeseenView(changed, paper, Answers.vistas(seen.after()), seen.says().or(() -> laid.map(Laid::says)), deal,
                laid.map(l -> l.cells().stream().map(PathData::of).toList()), laid.map(l -> l.lost().orElse("")),
                laid.map(Laid::across).filter(lines -> !lines.isEmpty()), laid.map(Laid::down).filter(lines -> !lines.isEmpty()));
    }
}
