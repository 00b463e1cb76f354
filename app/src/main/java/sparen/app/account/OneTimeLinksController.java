package sparen.app.account;

import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Anyone;
import sparen.quantity.Bounds;

/** Setting a password with a link. */
@RestController
@RequestMapping("/api/one-time-links")
class OneTimeLinksController {
    private final OneTimeLinks links;

    OneTimeLinksController(OneTimeLinks links) {
        this.links = links;
    }

    /** What stands in a link. */
    record LinkSecret(String secret) {
        LinkSecret {
            Bounds.present("secret", secret);
        }
    }

    /** Whose a link is; nobody's yet for the first administrator's. */
    record LinkOwner(Optional<String> name, Optional<String> fullName) {}

    /**
     * What a link is used for.
     *
     * @param first what the first administrator is called; absent for everybody else
     */
    record LinkUse(String secret, String password, Optional<OneTimeLinks.FirstAdministrator> first) {
        LinkUse {
            Bounds.present("secret", secret);
            Bounds.present("password", password);
            first = Bounds.orEmpty(first);
        }
    }

    /** The name to sign in with. */
    record LinkUsed(String name) {}

    /** Whose a one-time link is, and what for. */
    @PostMapping("/look")
    @Anyone
    LinkOwner look(@RequestBody LinkSecret link) {
        Optional<Account> owner = links.look(link.secret());
        return new LinkOwner(owner.map(Account::name), owner.map(Account::fullName));
    }

    /** Sets a password by a one-time link, which ends with that. */
    @PostMapping("/use")
    @Anyone
    LinkUsed use(@RequestBody LinkUse wanted) {
        return new LinkUsed(links.use(wanted.secret(), wanted.password(), wanted.first()));
    }
}
