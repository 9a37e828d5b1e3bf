package mosaicknife.app.account;

/**
 * A person of the house.
 *
 * @param id their number
 * @param signIn the name they sign in with
 * @param name their name on screen
 * @param role their role
 * @param active whether they may sign in
 */
public record Person(long id, String signIn, String name, Role role, boolean active) {}
