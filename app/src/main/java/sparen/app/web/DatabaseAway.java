package sparen.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.util.Objects;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.filter.OncePerRequestFilter;

/** While the database does not answer, neither whom a session belongs to nor anything else is known: try again, says the answer. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class DatabaseAway extends OncePerRequestFilter {
    static final String KIND = "database-away";
    static final String SAYS = "The database does not answer. What was sent may not have been saved; try again.";
    /** After how long it is worth trying again (s); judgement, no source. */
    static final String RETRY_SECONDS = "5";

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException broken) {
            if (!isAway(broken) || response.isCommitted()) {
                throw broken;
            }
            LOG.warn("the database does not answer", broken);
            response.reset();
            response.setHeader(HttpHeaders.RETRY_AFTER, RETRY_SECONDS);
            WrittenProblem.write(response, HttpStatus.SERVICE_UNAVAILABLE, KIND, SAYS);
        }
    }

    /** Whether something failed because no connection could be had, or one was lost. */
    public static boolean isAway(Throwable broken) {
        for (Throwable cause = broken; cause != null; cause = cause.getCause()) {
            if (cause instanceof DataAccessResourceFailureException
                    || cause instanceof CannotCreateTransactionException
                    || cause instanceof TransactionSystemException
                    || cause instanceof SQLException lost && isLost(lost)) {
                return true;
            }
        }
        return false;
    }

    /** A connection exception, or a server that shuts down or was crashed (PostgreSQL, appendix A: class 08, 57P01 to 57P03). */
    private static boolean isLost(SQLException failure) {
        String state = Objects.requireNonNullElse(failure.getSQLState(), "");
        return state.startsWith("08") || state.startsWith("57P0");
    }
}
