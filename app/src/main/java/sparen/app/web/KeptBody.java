package sparen.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingRequestWrapper;

/** Keeps what was sent as JSON, as far as a plan is long, so that a refusal can name the entry of a list by its id. */
@Component
class KeptBody extends OncePerRequestFilter {
    private static final int MOST_BYTES = 4_000_000;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        boolean json = type != null && type.startsWith(MediaType.APPLICATION_JSON_VALUE);
        chain.doFilter(json ? new ContentCachingRequestWrapper(request, MOST_BYTES) : request, response);
    }
}
