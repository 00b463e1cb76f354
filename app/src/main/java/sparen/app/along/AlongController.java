package sparen.app.along;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Anyone;
import sparen.app.right.Role;
import sparen.quantity.Bounds;

/** Taking sites along to where there is no network, and what becomes of it. */
@RestController
class AlongController {
    private static final int LONGEST_WORK = 3_500_000;

    private final TakenAlong along;

    AlongController(TakenAlong along) {
        this.along = along;
    }

    /** What a browser proves itself by that took sites along; told this once. */
    record AlongSecret(String secret) {}

    /** How the account stands that took sites along. */
    record AlongStanding(TakenAlong.Standing standing) {}

    /**
     * A piece of work that was never sent, of an account that was withdrawn.
     *
     * @param secret of the browser that it was made on
     * @param id made once: sent twice, it is kept once
     * @param says what it is, in words
     * @param work the request as it would have been sent, in JSON
     */
    record NewLeftWork(String secret, UUID id, String says, String work) {
        NewLeftWork {
            Bounds.present("id", id);
            Bounds.name("says", says);
            Bounds.present("work", work);
            Bounds.within("work", work.length(), "characters", 0, LONGEST_WORK);
        }
    }

    /**
     * A piece of work that an account left that was withdrawn.
     *
     * @param account whose it was
     * @param says what it is, in words
     */
    record LeftWork(UUID id, String account, Instant leftAt, String says) {
        private static LeftWork of(AlongMapper.Row row) {
            return new LeftWork(row.id(), row.account(), row.leftAt(), row.says());
        }
    }

    /** Gives a browser a secret by which it is known when it comes back. */
    @PostMapping("/api/along")
    @Allowed(value = Role.OBSERVER, bySession = true)
    @ResponseStatus(HttpStatus.CREATED)
    AlongSecret take(Authentication who) {
        return new AlongSecret(along.make(who.getName()));
    }

    /** How the account stands that a browser took sites along for. */
    @PostMapping("/api/along/contact")
    @Anyone
    AlongStanding contact(@RequestBody AlongSecret secret) {
        return new AlongStanding(along.contact(secret.secret()));
    }

    /** Leaves for the administrator what an account that was withdrawn never sent. */
    @PostMapping("/api/along/left")
    @Anyone
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@RequestBody NewLeftWork left) {
        along.leave(left.secret(), left.id(), left.says(), left.work());
    }

    /** What accounts that were withdrawn never sent, the newest first. */
    @GetMapping("/api/left-work")
    @Allowed(Role.ADMINISTRATOR)
    List<LeftWork> left() {
        return along.left().stream().map(LeftWork::of).toList();
    }

    /** A piece of it as it would have been sent. */
    @GetMapping(path = "/api/left-work/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
    @Allowed(Role.ADMINISTRATOR)
    String work(@PathVariable UUID id) {
        return along.one(id).work();
    }

    /** Takes a piece of it away for good. */
    @DeleteMapping("/api/left-work/{id}")
    @Allowed(value = Role.ADMINISTRATOR, bySession = true)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        along.remove(id);
    }
}
