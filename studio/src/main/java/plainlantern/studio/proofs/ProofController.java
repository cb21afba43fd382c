package plainlantern.studio.proofs;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
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
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Tries;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.shelf.PictureStore;
import plainlantern.studio.web.NotFound;
import plainlantern.studio.web.TooMany;

/** What visitors see: pages without an account, each by a link that nobody can guess. Nothing here takes an id of the account. */
@Controller
@RequestMapping("/proof/{token}")
class ProofController {
    private static final String COOKIE = "lantern-proof";
    private static final Duration ENTERED = Duration.ofDays(30);
    private static final int PAGES = 600;
    private static final int PICTURES = 3000;
    private static final int NOTES = 60;
    private static final int WORDS = 20;

    private final Proofs proofs;
    private final Tries tries;

    ProofController(Proofs proofs, Tries tries) {
        this.proofs = proofs;
        this.tries = tries;
    }

    /**
     * A sheet as the page shows it.
     *
     * @param place    counted from 0; all by which a visitor names it
     * @param width    of its proportions
     * @param picture  where it is painted
     * @param pictures the same in several sizes, as HTML's srcset wants them
     */
    public record Shown(int place, String name, long width, long height, String picture, String pictures) {
        private static final double LONGER = 1000;

        static Shown of(int place, Opened opened, String address) {
            Sheet sheet = opened.sheet();
            double scale = LONGER / Math.max(sheet.width(), sheet.height());
            long width = Math.max(1, Math.round(scale * sheet.width()));
            String painted = address + "/" + place + "/painted?v=" + opened.version() + "&side=";
            // A side is the longer one, a width in srcset is the width.
            String sizes = Proofs.SIDES.stream().map(side -> painted + side + " " + Math.max(1, Math.round(side * width / LONGER)) + "w")
                    .collect(Collectors.joining(", "));
            return new Shown(place, sheet.name(), width, Math.max(1, Math.round(scale * sheet.height())), painted + Proofs.SIDES.get(1),
                    sizes);
        }
    }

    /** A note as visitors see it. */
    record Told(int place, double x, double y, String author, String says, String answer, boolean done) {}

    private Proof proof(String token, HttpServletRequest request, String what, int most) {
        if (!tries.open(what, request.getRemoteAddr(), most)) throw new TooMany();
        return proofs.open(token);
    }

    /** As above, for somebody who entered the word where one is asked. */
    private Proof entered(String token, HttpServletRequest request, String what, int most) {
        Proof proof = proof(token, request, what, most);
        if (!proofs.entered(proof, pass(request))) throw new NotFound();
        return proof;
    }

    private static String pass(HttpServletRequest request) {
        if (request.getCookies() == null) return null;
        return Arrays.stream(request.getCookies()).filter(cookie -> cookie.getName().equals(COOKIE)).map(Cookie::getValue).findFirst()
                .orElse(null);
    }

    @GetMapping
    String page(@PathVariable String token, HttpServletRequest request, HttpServletResponse response, Model model) {
        Proof proof = proof(token, request, "proof", PAGES);
        response.setHeader("X-Robots-Tag", "noindex");
        model.addAttribute("token", token);
        if (!proofs.entered(proof, pass(request))) return "proofs/word";
        List<Shown> shown = new ArrayList<>();
        for (UUID id : proofs.sheets(proof)) {
            shown.add(Shown.of(shown.size(), proofs.sheet(proof, id), proof.address()));
        }
        if (shown.isEmpty()) throw new NotFound();
        model.addAttribute("shown", shown);
        return "proofs/page";
    }

    @PostMapping("/word")
    String word(@PathVariable String token, @RequestParam(defaultValue = "") String word, HttpServletRequest request,
            HttpServletResponse response, Model model) {
        Proof proof = proof(token, request, "proof's word", WORDS);
        if (!proofs.right(proof, word)) {
            model.addAttribute("token", token);
            model.addAttribute("wrong", true);
            return "proofs/word";
        }
        if (proof.word() != null) response.addHeader(HttpHeaders.SET_COOKIE, ResponseCookie.from(COOKIE, proofs.pass(proof)).httpOnly(true)
                .sameSite("Strict").secure(request.isSecure()).path(proof.address()).maxAge(ENTERED).build().toString());
        return "redirect:" + proof.address();
    }

    private UUID at(Proof proof, int place) {
        List<UUID> all = proofs.sheets(proof);
        if (place < 0 || place >= all.size()) throw new NotFound();
        return all.get(place);
    }

    /** A sheet as it is now, so many pixels along its longer side; the address carries the version, so a browser may keep it. */
    @GetMapping("/{place}/painted")
    ResponseEntity<byte[]> painted(@PathVariable String token, @PathVariable int place, @RequestParam(defaultValue = "960") int side,
            HttpServletRequest request) {
        Proof proof = entered(token, request, "proof's picture", PICTURES);
        if (!Proofs.SIDES.contains(side)) throw new NotFound();
        PictureStore.Data data = PictureStore.Data.of(proofs.painted(proof, proofs.sheet(proof, at(proof, place)), side));
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(data.mediaType()))
                .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePrivate()).body(data.data());
    }

    @GetMapping("/notes")
    @ResponseBody
    List<Told> notes(@PathVariable String token, HttpServletRequest request) {
        return told(entered(token, request, "proof", PAGES));
    }

    private List<Told> told(Proof proof) {
        Map<UUID, Integer> places = new HashMap<>();
        for (UUID id : proofs.sheets(proof)) places.put(id, places.size());
        return proofs.notes(proof).stream().filter(note -> places.containsKey(note.sheet())).map(note -> new Told(places.get(note.sheet()),
                note.x(), note.y(), note.author(), note.says(), note.answer(), note.done())).toList();
    }

    /** A note on its way in; {@code x} and {@code y} are shares of the sheet. */
    record Noted(Integer place, Double x, Double y, String author, String says) {}

    @PostMapping("/notes")
    @ResponseBody
    List<Told> note(@PathVariable String token, @RequestBody Noted note, HttpServletRequest request) {
        Proof proof = entered(token, request, "proof's note", NOTES);
        BadInput.unless(note.place() != null && note.x() != null && note.y() != null, "says", "Put the note on the sheet.");
        proofs.note(proof, at(proof, note.place()), note.x(), note.y(), note.author(), note.says());
        return told(proof);
    }
}
