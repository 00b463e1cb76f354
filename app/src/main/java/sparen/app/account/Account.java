package sparen.app.account;

import sparen.app.right.Role;

/**
 * A person who may sign in.
 *
 * @param name used to sign in
 * @param fullName shown
 * @param passwordHash bcrypt
 * @param role what they may do
 * @param writesToDevices whether they may also write to devices
 * @param active whether they may sign in at all
 * @param epoch goes up with whatever ends their sessions
 * @param secondFactor secret of their second factor, base 32, sealed ({@link Seal}); null for none
 */
record Account(
        String name,
        String fullName,
        String passwordHash,
        Role role,
        boolean writesToDevices,
        boolean active,
        int epoch,
        String secondFactor) {}
