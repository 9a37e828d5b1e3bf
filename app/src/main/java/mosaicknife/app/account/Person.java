package mosaicknife.app.account;

import java.util.Optional;

/**
 * A person of the house.
 *
 * @param id their number
 * @param signIn the name they sign in with
 * @param name their name on screen
 * @param role their role
 * @param venue the number of the venue where they work; empty for all of them
 * @param active whether they may sign in
 */
public record Person(
    long id, String signIn, String name, Role role, Optional<Long> venue, boolean active) {}
