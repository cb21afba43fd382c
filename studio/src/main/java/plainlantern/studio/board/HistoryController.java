package plainlantern.studio.board;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.reading.Again;
import plainlantern.editing.reading.Several;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Change;
import plainlantern.studio.sheets.RevisionStore;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.typefaces.Typefaces;
import plainlantern.studio.web.NotFound;

/** The history as a list: its steps are done again on what is selected, and kept under names. */
@Controller
@RequestMapping("/sheets/{id}")
public class HistoryController {
    private static final int MOST_KEPT = 60;
    private static final int MOST_AT_ONCE = 100;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_TITLE = 80;

    private final Sheets sheets;
    private final StepsStore store;
    private final Pictures pictures;
    private final Typefaces typefaces;
    private final Answers answers;

    HistoryController(Sheets sheets, StepsStore store, Pictures pictures, Typefaces typefaces, Answers answers) {
        this.sheets = sheets;
        this.store = store;
        this.pictures = pictures;
        this.typefaces = typefaces;
        this.answers = answers;
    }

    /**
     * Steps to be done again, on their way in.
     *
     * @param steps numbers of steps of this sheet
     * @param kept  steps that were kept, instead
     * @param name  as {@link BoardController.Request}
     */
    record Doing(List<Integer> steps, Optional<UUID> kept, Optional<UUID> name, String stage, List<String> selected, long version,
            @Typed.Switch boolean whole) {}

    @GetMapping("/history")
    String list(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        List<RevisionStore.Step> steps = sheets.steps(id, member.id());
        model.addAttribute("steps", steps);
        model.addAttribute("head", sheets.head(id, member.id()));
        model.addAttribute("kept", store.list(member.id()));
        return "board/history :: history";
    }

    /** Does steps on what is selected, as one step. What cannot be done there is left out and said. */
    @PostMapping("/again")
    @ResponseBody
    Answer again(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Doing doing) {
        sheets.version(id, member.id());
        Optional<StepsStore.Kept> kept = doing.kept().map(one -> store.find(member.id(), one).orElseThrow(NotFound::new));
        List<Again.Step> steps = kept.map(StepsStore.Kept::steps).orElseGet(() -> ticked(member, id, doing.steps()));
        String title = kept.map(StepsStore.Kept::name).orElseGet(() -> titled(steps));
        Again[] made = new Again[1];
        Looking looking = new Looking(Stage.of(doing.stage()), doing.whole(), -1);
        Optional<Change> change = sheets.apply(id, member.id(), doing.name(), sheet -> {
            made[0] = Again.of(sheet, steps, doing.selected() == null ? List.of() : doing.selected(), (edit, on) -> edit.completed(
                    pictures.of(member.id(), own -> typefaces.face(member.id(), own)), on));
            BadInput.unless(!made[0].edits().isEmpty(), "", String.join("\n", made[0].left()));
            return new Several(title, made[0].edits());
        });
        if (change.isEmpty()) return answers.whole(sheets.open(id, member.id()), looking, doing.selected());
        Optional<Answer.Said> said = made[0].left().isEmpty() ? Optional.empty() : Optional.of(new Answer.Said("Left out: "
                + String.join(" ", made[0].left()), Optional.empty(), Optional.empty()));
        return answers.to(change.get(), change.get().versionBefore() != doing.version(), looking, doing.selected()).saying(said);
    }

    private List<Again.Step> ticked(Member member, UUID id, List<Integer> numbers) {
        BadInput.unless(numbers != null && !numbers.isEmpty(), "steps", "Tick the steps that are to be done again.");
        BadInput.unless(numbers.size() <= MOST_AT_ONCE, "steps", "At most " + MOST_AT_ONCE + " steps can be done at once.");
        List<Again.Step> steps = sheets.again(id, member.id(), numbers);
        BadInput.unless(!steps.isEmpty(), "steps", "These steps can’t be done again.");
        return steps;
    }

    private static String titled(List<Again.Step> steps) {
        String all = "Again: " + steps.stream().map(step -> step.title().replaceFirst(":.*$", "")).distinct()
                .collect(Collectors.joining(", "));
        return all.length() > LONGEST_TITLE ? all.substring(0, LONGEST_TITLE - 1) + "…" : all;
    }

    /** Keeps ticked steps under a name. */
    @PostMapping("/steps")
    String keep(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String name,
            @RequestParam(defaultValue = "") List<Integer> steps, Model model) {
        sheets.version(id, member.id());
        String said = name.strip();
        BadInput.unless(!said.isEmpty() && said.length() <= LONGEST_NAME, "name", "Steps need a name of at most " + LONGEST_NAME
                + " letters.");
        BadInput.unless(store.list(member.id()).size() < MOST_KEPT, "name", "There are " + MOST_KEPT + " already. Delete one first.");
        store.put(member.id(), said, ticked(member, id, steps));
        return list(member, id, model);
    }

    @PostMapping("/steps/{set}/forget")
    String forget(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID set, Model model) {
        sheets.version(id, member.id());
        if (!store.remove(member.id(), set)) throw new NotFound();
        return list(member, id, model);
    }
}
