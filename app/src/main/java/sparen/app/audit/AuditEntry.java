package sparen.app.audit;

import java.time.Instant;

/**
 * One deed.
 *
 * @param id rises with time
 * @param at when
 * @param account who, by the name of the account; what was tried as one where a sign-in was refused
 * @param via name of the token it was done with; empty at a screen
 * @param address from where
 * @param deed what
 * @param site where; empty for none
 * @param detail more of it, in words
 */
public record AuditEntry(
        long id, Instant at, String account, String via, String address, Deed deed, String site, String detail) {}
