package sparen.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.UriUtils;
import sparen.document.PlainText;

/** What is refused in a text is refused in an address too, before anything is looked for by it. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class PlainAddress extends OncePerRequestFilter {
    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<String> refusal = Optional.ofNullable(request.getQueryString())
                .flatMap(PlainAddress::refusal)
                .or(() -> refusal(request.getRequestURI()));
        if (refusal.isPresent()) {
            WrittenProblem.write(
                    response, HttpStatus.BAD_REQUEST, "bad-address", "In an address " + refusal.get() + ".");
        } else {
            chain.doFilter(request, response);
        }
    }

    private static Optional<String> refusal(String part) {
        try {
            return PlainText.refusal(UriUtils.decode(part, StandardCharsets.UTF_8));
        } catch (IllegalArgumentException notEncoded) {
            return Optional.of("a percent sign stands for a character: it is followed by two digits");
        }
    }
}
