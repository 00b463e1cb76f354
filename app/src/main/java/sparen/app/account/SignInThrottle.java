package sparen.app.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import sparen.app.web.Refusal;

/** Slows down guessing: five failures for a name from an address, or thirty from an address, and it is refused for a while. */
@Service
class SignInThrottle {
    private static final Duration WINDOW = Duration.ofMinutes(10);
    private static final int MOST_FOR_NAME = 5;
    private static final int MOST_FROM_ADDRESS = 30;

    private final AccountMapper mapper;
    private final Clock clock;

    SignInThrottle(AccountMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    void refuseIfTooMany(String name, String address) {
        Instant since = clock.instant().minus(WINDOW);
        if (mapper.countFailures(name, address, since) >= MOST_FOR_NAME
                || mapper.countFailuresFrom(address, since) >= MOST_FROM_ADDRESS) {
            throw new Refusal(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-sign-ins",
                    "Too many failed sign-ins. Wait " + WINDOW.toMinutes() + " minutes, then try again.",
                    Map.of());
        }
    }

    void failed(String name, String address) {
        mapper.addFailure(name, address, clock.instant());
    }

    void succeeded(String name, String address) {
        mapper.forgetFailures(name, address, clock.instant().minus(WINDOW));
    }
}
