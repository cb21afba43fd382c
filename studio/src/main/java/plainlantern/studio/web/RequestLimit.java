package plainlantern.studio.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Requests in JSON say how long they are and stay within a bound; pictures and bundles come as multipart, with limits of their own. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class RequestLimit extends OncePerRequestFilter {
    /** Two thousand panels cut into free forms, pasted at once, stay well below this. */
    static final long MOST_BYTES = 16L << 20;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain) throws ServletException, IOException {
        String type = request.getContentType();
        long length = request.getContentLengthLong();
        if (type == null || !type.contains("json") || length >= 0 && length <= MOST_BYTES) chain.doFilter(request, response);
        else response.sendError(length < 0 ? HttpStatus.LENGTH_REQUIRED.value() : HttpStatus.CONTENT_TOO_LARGE.value());
    }
}
