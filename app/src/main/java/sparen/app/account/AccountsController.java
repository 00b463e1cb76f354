package sparen.app.account;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.account.OrganisationMapper.Organisation;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.quantity.Bounds;

/** Accounts as administrators look after them. */
@RestController
class AccountsController {
    private final Accounts accounts;
    private final OneTimeLinks links;
    private final OrganisationMapper organisation;
    private final AuditLog audit;

    AccountsController(Accounts accounts, OneTimeLinks links, OrganisationMapper organisation, AuditLog audit) {
        this.accounts = accounts;
        this.links = links;
        this.organisation = organisation;
        this.audit = audit;
    }

    /** An account without its secrets. */
    record AccountInList(
            String name,
            String fullName,
            Role role,
            boolean writesToDevices,
            boolean active,
            boolean hasSecondFactor) {}

    /** An account to be made. */
    record NewAccount(String name, Accounts.Standing standing) {
        NewAccount {
            Bounds.present("standing", standing);
        }
    }

    /** All accounts. */
    @GetMapping("/api/accounts")
    @Allowed(Role.ADMINISTRATOR)
    List<AccountInList> list() {
        return accounts.list().stream()
                .map(one -> new AccountInList(
                        one.name(),
                        one.fullName(),
                        one.role(),
                        one.writesToDevices(),
                        one.active(),
                        one.secondFactor() != null))
                .toList();
    }

    /** Makes an account; the link is for its owner to set a password with. */
    @PostMapping("/api/accounts")
    @Allowed(value = Role.ADMINISTRATOR, bySession = true)
    @ResponseStatus(HttpStatus.CREATED)
    OneTimeLinks.NewLink make(@RequestBody NewAccount wanted) {
        accounts.make(wanted.name(), wanted.standing());
        return links.make(wanted.name());
    }

    /** Changes what an account may, or disables it. */
    @PutMapping("/api/accounts/{name}")
    @Allowed(value = Role.ADMINISTRATOR, bySession = true)
    List<AccountInList> change(@PathVariable String name, @RequestBody Accounts.Standing standing) {
        accounts.change(name, standing);
        return list();
    }

    /** A link to set a new password with; the old one holds until it is used. */
    @PostMapping("/api/accounts/{name}/link")
    @Allowed(value = Role.ADMINISTRATOR, bySession = true)
    OneTimeLinks.NewLink link(@PathVariable String name) {
        return links.make(name);
    }

    /** Ends all sessions of an account. */
    @PostMapping("/api/accounts/{name}/sign-out")
    @Allowed(value = Role.ADMINISTRATOR, bySession = true)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(@PathVariable String name) {
        accounts.endSessions(name);
    }

    /** For somebody whose authenticator is lost. */
    @DeleteMapping("/api/accounts/{name}/second-factor")
    @Allowed(value = Role.ADMINISTRATOR, bySession = true)
    List<AccountInList> removeSecondFactor(@PathVariable String name) {
        accounts.removeSecondFactor(name);
        return list();
    }

    /** What holds for everybody here. */
    @GetMapping("/api/organisation")
    @Allowed(Role.ADMINISTRATOR)
    Organisation organisation() {
        return organisation.get();
    }

    /** Changes what holds for everybody here. */
    @PutMapping("/api/organisation")
    @Allowed(value = Role.ADMINISTRATOR, bySession = true)
    Organisation change(@RequestBody Organisation wanted) {
        organisation.put(wanted);
        audit.note(
                Deed.ORGANISATION_CHANGED,
                wanted.name() + ", second factor " + (wanted.secondFactorRequired() ? "asked for" : "as one likes")
                        + ", devices in "
                        + (wanted.deviceNetworks().isEmpty() ? "no network" : wanted.deviceNetworks())
                        + ", " + wanted.offlineDays() + " d without a network");
        return wanted;
    }
}
