package sparen.app.account;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.right.Role;
import sparen.app.web.Refusal;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/** The people who may sign in. */
@Service
public class Accounts implements UserDetailsService {
    private static final Pattern NAME = Pattern.compile("[a-z0-9][a-z0-9._-]{1,39}");

    private final AccountMapper mapper;
    private final PasswordEncoder encoder;
    private final AuditLog audit;

    Accounts(AccountMapper mapper, PasswordEncoder encoder, AuditLog audit) {
        this.mapper = mapper;
        this.encoder = encoder;
        this.audit = audit;
    }

    /**
     * What an administrator says of an account.
     *
     * @param writesToDevices whether they may also write to devices
     * @param active whether they may sign in
     */
    record Standing(String fullName, Role role, boolean writesToDevices, boolean active) {
        Standing {
            Bounds.name("fullName", fullName);
            Bounds.present("role", role);
            if (writesToDevices && role == Role.OBSERVER) {
                throw new InvalidQuantity("writesToDevices", "an observer changes nothing, in devices neither");
            }
        }

        private String says() {
            return fullName + ", " + role.name().toLowerCase(Locale.ROOT)
                    + (writesToDevices ? ", writes to devices" : "")
                    + (active ? "" : ", disabled");
        }
    }

    @Override
    public UserDetails loadUserByUsername(String name) {
        Account account = mapper.find(name).orElseThrow(() -> new UsernameNotFoundException(name));
        return User.withUsername(account.name())
                .password(account.passwordHash())
                .disabled(!account.active())
                .authorities(new SimpleGrantedAuthority(account.role().authority()))
                .build();
    }

    Account find(String name) {
        return mapper.find(name).orElseThrow(() -> Refusal.notFound("The account \"" + name + "\""));
    }

    Optional<Account> current(String name) {
        return mapper.find(name).filter(Account::active);
    }

    /**
     * Refuses somebody who may not write to devices.
     *
     * @throws Refusal when their account does not say so
     */
    public void mustWriteToDevices(String name) {
        if (!find(name).writesToDevices()) {
            throw new Refusal(
                    HttpStatus.FORBIDDEN,
                    "no-writing",
                    "Your account may not write to devices. An administrator can allow it.",
                    Map.of());
        }
    }

    List<Account> list() {
        return mapper.list();
    }

    /**
     * Adds a person, unless one of that name is there.
     *
     * @return whether there was none
     */
    public boolean add(String name, String fullName, String password, Role role) {
        return mapper.insert(name, fullName, encoder.encode(password), role, role != Role.OBSERVER) == 1;
    }

    /** Gives another password to everybody who has a certain one. */
    public void replacePassword(String old, String password) {
        if (!old.equals(password)) {
            mapper.list().stream()
                    .filter(account -> isPassword(account, old))
                    .forEach(account -> mapper.setPassword(account.name(), encoder.encode(password)));
        }
    }

    /** Adds a person who has to set a password by a link first. */
    @Transactional
    public void make(String name, Standing standing) {
        checkName(name);
        String nobodys = encoder.encode(Secrets.make());
        if (mapper.insert(name, standing.fullName(), nobodys, standing.role(), standing.writesToDevices()) == 0) {
            throw new Refusal(
                    HttpStatus.CONFLICT, "name-taken", "There is an account \"" + name + "\" already.", Map.of());
        }
        audit.note(Deed.ACCOUNT_MADE, name + ": " + standing.says());
    }

    /** What somebody is called in full. */
    public String fullName(String name) {
        return find(name).fullName();
    }

    /**
     * Somebody by name and full name, as they are called here: one who is not here is made, and may not sign in.
     *
     * @return the name of the account; another one where somebody else has it already
     */
    @Transactional
    public String known(String name, String fullName) {
        checkName(name);
        Bounds.name("fullName", fullName);
        for (int number = 1; ; number++) {
            String tried = number == 1 ? name : name + "-" + number;
            Optional<Account> there = mapper.find(tried);
            if (there.filter(one -> one.fullName().equals(fullName)).isPresent()) {
                return tried;
            }
            if (there.isEmpty()) {
                Standing standing = new Standing(fullName, Role.OBSERVER, false, false);
                make(tried, standing);
                mapper.change(tried, fullName, Role.OBSERVER, false, false);
                return tried;
            }
        }
    }

    static void checkName(String name) {
        Bounds.present("name", name);
        if (!NAME.matcher(name).matches()) {
            throw new InvalidQuantity(
                    "name",
                    "has to be 2 to 40 of a to z, 0 to 9, dots, dashes and underscores, beginning with a letter or digit");
        }
    }

    /** Changes what somebody is and may; their sessions end where that changed. */
    @Transactional
    public void change(String name, Standing standing) {
        Account before = find(name);
        List<String> administrators = mapper.administrators();
        boolean stays = standing.active() && standing.role() == Role.ADMINISTRATOR;
        if (administrators.equals(List.of(name)) && !stays) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "last-administrator",
                    "This is the last administrator. Make somebody else one first.",
                    Map.of());
        }
        mapper.change(name, standing.fullName(), standing.role(), standing.writesToDevices(), standing.active());
        audit.note(
                Deed.ACCOUNT_CHANGED,
                name + ": "
                        + new Standing(before.fullName(), before.role(), before.writesToDevices(), before.active())
                                .says()
                        + " → " + standing.says());
    }

    /**
     * Sets a password; all sessions of its owner end.
     *
     * @param field where it was asked for, to be named where it is refused
     */
    @Transactional
    public void setPassword(String name, String field, String password) {
        Account account = find(name);
        Passwords.check(field, password, List.of(name, account.fullName(), "sparen"));
        mapper.setPassword(name, encoder.encode(password));
        audit.note(Deed.PASSWORD_CHANGED, name, "", "");
    }

    boolean isPassword(Account account, String password) {
        return encoder.matches(password, account.passwordHash());
    }

    @Transactional
    public void endSessions(String name) {
        if (mapper.endSessions(name) == 0) {
            throw Refusal.notFound("The account \"" + name + "\"");
        }
        audit.note(Deed.SIGNED_OUT_EVERYWHERE, name);
    }

    @Transactional
    public void setSecondFactor(String name, String secret) {
        mapper.setSecondFactor(name, secret, false);
        audit.note(Deed.SECOND_FACTOR_SET, name);
    }

    /** Takes it away; all sessions of its owner end. */
    @Transactional
    public void removeSecondFactor(String name) {
        if (mapper.setSecondFactor(name, null, true) == 0) {
            throw Refusal.notFound("The account \"" + name + "\"");
        }
        mapper.forgetRecoveryCodes(name);
        audit.note(Deed.SECOND_FACTOR_TAKEN_AWAY, name);
    }

    /** Whether there is somebody who can make accounts. */
    @Transactional
    public boolean hasAdministrator() {
        return !mapper.administrators().isEmpty();
    }
}
