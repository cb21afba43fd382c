package plainlantern.studio.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bodies say how long they are and stay within a bound. Files come as multipart, at a few addresses only, from pages of a session, with the
 * token in the head: all that is asked before a byte of the body is read. This stands behind the session's filter and before the sign-in's.
 */
@Component
@Order(-101)
public class RequestLimit extends OncePerRequestFilter {
    /** Two thousand panels cut into free forms, pasted at once, stay well below this. */
    static final long MOST_BYTES = 16L << 20;
    private static final Set<String> FILES = Set.of("/pictures", "/bundles", "/typefaces", "/tables", "/series");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain) throws ServletException,
            IOException {
        HttpStatus refused = refused(request);
        if (refused == null) {
            chain.doFilter(request, response);
            return;
        }
        response.setHeader("Connection", "close");
        response.sendError(refused.value());
    }

    private static HttpStatus refused(HttpServletRequest request) {
        String type = request.getContentType();
        if (type == null) return null;
        long length = request.getContentLengthLong();
        if (type.toLowerCase().startsWith("multipart/")) {
            if (!FILES.contains(request.getServletPath())) return HttpStatus.UNSUPPORTED_MEDIA_TYPE;
            if (request.getHeader("X-CSRF-TOKEN") == null || request.getSession(false) == null) return HttpStatus.FORBIDDEN;
            return length < 0 ? HttpStatus.LENGTH_REQUIRED : null;
        }
        if (!type.contains("json") || length >= 0 && length <= MOST_BYTES) return null;
        return length < 0 ? HttpStatus.LENGTH_REQUIRED : HttpStatus.CONTENT_TOO_LARGE;
    }
}
