package plainlantern.studio.sheets;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.servlet.ModelAndView;
import plainlantern.studio.account.SignedIn;

/** What is answered where a sheet cannot be read: a page with what can be done, or words for a script. */
@ControllerAdvice
class DamagedPage {
    private final Sheets sheets;

    DamagedPage(Sheets sheets) {
        this.sheets = sheets;
    }

    @ExceptionHandler
    Object damaged(Damaged problem, HttpServletRequest request) {
        if (request.getHeader("X-CSRF-TOKEN") != null || !(request.getUserPrincipal() instanceof SignedIn member))
            return ResponseEntity.status(HttpStatus.CONFLICT).body(Map.of("field", "", "message", problem.getMessage()));
        return new ModelAndView("sheets/damaged", Map.of("card", sheets.card(problem.sheet(), member.getPrincipal().id())),
                HttpStatus.CONFLICT);
    }
}
