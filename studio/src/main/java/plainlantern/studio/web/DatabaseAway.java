package plainlantern.studio.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Where the session itself cannot be read because the database is away, a page says so: nothing else could be asked of it any more. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class DatabaseAway extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain) throws ServletException,
            IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException problem) {
            if (response.isCommitted() || !away(problem)) throw problem;
            LOG.warn("The database is away: {}", problem.toString());
            response.reset();
            response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
            response.setHeader("Retry-After", "5");
            response.setContentType("text/html;charset=utf-8");
            response.getOutputStream().write(Words.page(HttpStatus.SERVICE_UNAVAILABLE.value()).getBytes(StandardCharsets.UTF_8));
        }
    }

    private static boolean away(Throwable problem) {
        for (Throwable cause = problem; cause != null; cause = cause.getCause()) if (cause instanceof SQLException) return true;
        return false;
    }
}
