package sparen.app.right;

import org.springframework.security.core.Authentication;

/** What a person may do; each may what the ones before it may. */
public enum Role {
    /** Reads, works things out, changes nothing. */
    OBSERVER,
    /** Changes plans and sites. */
    TECHNICIAN,
    /** Looks after accounts, crews and the audit trail too. */
    ADMINISTRATOR;

    /** What the framework calls it. */
    public String authority() {
        return "ROLE_" + name();
    }

    /** Whether it may what another may. */
    public boolean reaches(Role other) {
        return compareTo(other) >= 0;
    }

    /** Of who is signed in. */
    public static Role of(Authentication who) {
        for (Role role : values()) {
            if (who.getAuthorities().stream().anyMatch(one -> role.authority().equals(one.getAuthority()))) {
                return role;
            }
        }
        throw new IllegalStateException(who.getName() + " has no role");
    }
}
