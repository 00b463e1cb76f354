package sparen.app.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.web.Refusal;

/**
 * Slows down guessing: five failures for a name from an address, thirty from an address or fifty for a name from anywhere, and it is
 * refused for a while.
 */
@Service
class SignInThrottle {
    private static final Duration WINDOW = Duration.ofMinutes(10);
    private static final int MOST_FOR_NAME = 5;
    private static final int MOST_FROM_ADDRESS = 30;
    private static final int MOST_FROM_ANYWHERE = 50;

    private final SignInFailureMapper mapper;
    private final Clock clock;

    SignInThrottle(SignInFailureMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * Counts a sign-in as failed before anything is answered, one after the other from an address and for a name: of any number at once no
     * more are looked at than of as many in a row.
     *
     * @throws Refusal when there were too many
     */
    @Transactional
    public void attempt(String name, String address) {
        Instant since = clock.instant().minus(WINDOW);
        // Addresses first, and apart from names that look like one: nobody waits for who waits for it.
        mapper.inTurn("address " + address);
        mapper.inTurn("name " + name);
        if (mapper.countFailures(name, address, since) >= MOST_FOR_NAME
                || mapper.countFailuresFrom(address, since) >= MOST_FROM_ADDRESS
                || mapper.countFailuresOf(name, since) >= MOST_FROM_ANYWHERE) {
            throw new Refusal(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-sign-ins",
                    "Too many failed sign-ins. Wait " + WINDOW.toMinutes() + " minutes, then try again.",
                    Map.of());
        }
        mapper.addFailure(name, address, clock.instant());
    }

    /** What was counted for a name from an address is forgotten. */
    public void succeeded(String name, String address) {
        mapper.forgetFailures(name, address, clock.instant().minus(WINDOW));
    }
}
