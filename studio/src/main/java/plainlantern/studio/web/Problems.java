package plainlantern.studio.web;

import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import plainlantern.editing.AskFirst;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Gone;

/** Turns what went wrong into an answer that the page can show: {@code {"field": …, "message": …}}. */
@RestControllerAdvice
public class Problems {
    @ExceptionHandler
    ResponseEntity<Map<String, String>> gone(Gone problem) {
        return answer(HttpStatus.CONFLICT, problem);
    }

    /** 428: sent again with {@code agreed}, the edit is made. */
    @ExceptionHandler
    ResponseEntity<Map<String, String>> asked(AskFirst question) {
        return answer(HttpStatus.PRECONDITION_REQUIRED, question);
    }

    @ExceptionHandler
    ResponseEntity<Map<String, String>> input(BadInput problem) {
        return answer(HttpStatus.UNPROCESSABLE_CONTENT, problem);
    }

    @ExceptionHandler
    ResponseEntity<Map<String, String>> large(MaxUploadSizeExceededException problem) {
        return answer(HttpStatus.CONTENT_TOO_LARGE, new BadInput("pictures", "That file is too large to be sent."));
    }

    @ExceptionHandler
    ResponseEntity<Void> address(MethodArgumentTypeMismatchException problem) {
        return ResponseEntity.notFound().build();
    }

    private static ResponseEntity<Map<String, String>> answer(HttpStatus status, BadInput problem) {
        return ResponseEntity.status(status).body(Map.of("field", problem.field(), "message", problem.getMessage()));
    }
}
