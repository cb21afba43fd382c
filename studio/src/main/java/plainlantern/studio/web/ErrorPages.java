package plainlantern.studio.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What is shown where a request ends in an error: a page for people, words in JSON for scripts. */
@Controller
class ErrorPages implements ErrorController {
    @RequestMapping("/error")
    ResponseEntity<?> error(HttpServletRequest request) {
        int status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code ? code : 404;
        return answer(request, status);
    }

    /** A request of a script of ours carries the token in its head. */
    static ResponseEntity<?> answer(HttpServletRequest request, int status) {
        Words words = Words.of(status);
        if (request.getHeader("X-CSRF-TOKEN") != null)
            return ResponseEntity.status(status).body(Map.of("field", "", "message", words.title() + ". " + words.said()));
        return ResponseEntity.status(status).contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .body(Words.page(status));
    }
}
