package plainlantern.studio.web;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** There is no such thing, or it belongs to another account: the answer must not tell which. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotFound extends RuntimeException {
    public NotFound() {
        super("There is nothing at this address.", null, false, false);
    }
}
