package sparen.app.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * What is worked out while somebody waits is worked out in turn: so many at once, so few of them one account's, in the order in which they
 * came. Who has too many waiting is told so.
 */
@Component
class Turns implements HandlerInterceptor, WebMvcConfigurer {
    /** A page asks for what it shows and what it runs at once, and may have been left and opened again; judgement, no source. */
    private static final int MOST_OF_ACCOUNT = 3;

    private static final int MOST_WAITING_OF_ACCOUNT = 60;
    private static final int WAIT_SECONDS = 20;
    private static final String TAKEN = Turns.class.getName();

    private final Semaphore all =
            new Semaphore(Math.max(4, 2 * Runtime.getRuntime().availableProcessors()), true);
    private final Map<String, Share> shares = new HashMap<>();

    /** What one account has under way. */
    private static final class Share {
        private final String account;
        private final Semaphore free = new Semaphore(MOST_OF_ACCOUNT, true);
        private int asked;

        Share(String account) {
            this.account = account;
        }
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this)
                .order(1)
                .addPathPatterns(
                        "/api/season/*", "/api/season/*/runs", "/api/bench/**", "/api/reading/**", "/api/proposals");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws InterruptedException {
        String account = request.getRemoteUser();
        if (account == null) {
            return true;
        }
        Share share = join(account);
        boolean isOwn = false;
        boolean isTurn = false;
        try {
            isOwn = share.free.tryAcquire(WAIT_SECONDS, TimeUnit.SECONDS);
            isTurn = isOwn && all.tryAcquire(WAIT_SECONDS, TimeUnit.SECONDS);
        } finally {
            if (!isTurn) {
                if (isOwn) {
                    share.free.release();
                }
                leave(share);
            }
        }
        if (!isTurn) {
            throw new Refusal(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "busy",
                    "Too much is being worked out at once. Try again in a moment.",
                    Map.of());
        }
        request.setAttribute(TAKEN, share);
        return true;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception broken) {
        if (request.getAttribute(TAKEN) instanceof Share share) {
            request.removeAttribute(TAKEN);
            all.release();
            share.free.release();
            leave(share);
        }
    }

    private synchronized Share join(String account) {
        Share share = shares.computeIfAbsent(account, Share::new);
        if (share.asked >= MOST_WAITING_OF_ACCOUNT) {
            throw new Refusal(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many",
                    "Your account has " + share.asked + " things being worked out already. Wait for some of them.",
                    Map.of());
        }
        share.asked++;
        return share;
    }

    private synchronized void leave(Share share) {
        share.asked--;
        if (share.asked == 0) {
            shares.remove(share.account);
        }
    }
}
