package plainlantern.studio.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.task.TaskRejectedException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import plainlantern.asking.BadInput;
import plainlantern.editing.AskFirst;
import plainlantern.sheet.Gone;

/** Turns what went wrong into an answer that the page can show: {@code {"field": …, "message": …}}. */
@RestControllerAdvice
public class Problems {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

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

    /** What is asked for is there, but not now: the same request may go well in a minute. */
    @ExceptionHandler({Busy.class, TaskRejectedException.class})
    ResponseEntity<Map<String, String>> busy(Exception problem) {
        String message = problem instanceof Busy ? problem.getMessage() : "The server is busy. Try again in a minute.";
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).header("Retry-After", "5")
                .body(Map.of("field", "", "message", message));
    }

    /** One request that needs more memory than there is must not be the others' end. */
    @ExceptionHandler
    ResponseEntity<Map<String, String>> memory(OutOfMemoryError problem) {
        LOG.warn("A request ran out of memory", problem);
        return answer(HttpStatus.INSUFFICIENT_STORAGE,
                new BadInput("", "The server has too little memory for this. Choose fewer pixels, or try again later."));
    }

    @ExceptionHandler
    ResponseEntity<Map<String, String>> large(MaxUploadSizeExceededException problem) {
        return answer(HttpStatus.CONTENT_TOO_LARGE, new BadInput("pictures", "That file is too large to be sent."));
    }

    @ExceptionHandler({MethodArgumentTypeMismatchException.class, NotFound.class})
    ResponseEntity<?> address(Exception problem, HttpServletRequest request) {
        return ErrorPages.answer(request, HttpStatus.NOT_FOUND.value());
    }

    @ExceptionHandler({HttpMessageNotReadableException.class, MultipartException.class})
    ResponseEntity<Map<String, String>> unreadable(Exception problem) {
        return answer(HttpStatus.BAD_REQUEST, new BadInput("", "That request can’t be read. Reload the page and try again."));
    }

    @ExceptionHandler
    ResponseEntity<?> often(TooMany problem, HttpServletRequest request) {
        return ErrorPages.answer(request, HttpStatus.TOO_MANY_REQUESTS.value());
    }

    /** The database is away or full of work: said at once, and in no case the page of another error. */
    @ExceptionHandler({TransientDataAccessException.class, DataAccessResourceFailureException.class,
            CannotCreateTransactionException.class})
    ResponseEntity<?> database(Exception problem, HttpServletRequest request) {
        LOG.warn("The database did not do its part: {}", problem.toString());
        return ErrorPages.answer(request, HttpStatus.SERVICE_UNAVAILABLE.value());
    }

    /** Whoever asked went away while the answer was sent. */
    @ExceptionHandler
    void left(AsyncRequestNotUsableException problem) {
        LOG.debug("An answer was not fetched: {}", problem.getMessage());
    }

    private static ResponseEntity<Map<String, String>> answer(HttpStatus status, BadInput problem) {
        return ResponseEntity.status(status).body(Map.of("field", problem.field(), "message", problem.getMessage()));
    }
}
