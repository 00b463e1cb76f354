package sparen.app.account;

/**
 * A person who may sign in.
 *
 * @param name used to sign in
 * @param fullName shown
 * @param passwordHash bcrypt
 * @param role what they may do
 */
record Account(String name, String fullName, String passwordHash, Role role) {}
