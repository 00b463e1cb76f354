package sparen.app.account;

import org.springframework.security.core.Authentication;

/** What a person may do. */
public enum Role {
    /** Reads and changes. */
    TECHNICIAN,
    /** Reads, changes nothing. */
    OBSERVER;

    /** What the framework calls it. */
    String authority() {
        return "ROLE_" + name();
    }

    /** Whether who is signed in has it. */
    public boolean isOf(Authentication who) {
        return who.getAuthorities().stream().anyMatch(one -> authority().equals(one.getAuthority()));
    }
}
