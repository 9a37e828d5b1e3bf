package mosaicknife.app.account;

/**
 * What the first owner types, as typed; empty or null where nothing was.
 *
 * @param house the name of the house
 * @param venue its first venue
 * @param currency the code of its currency
 * @param zone its time zone
 * @param name the owner's name
 * @param signIn the name to sign in with
 * @param password the first password
 */
record WelcomeForm(
    String house,
    String venue,
    String currency,
    String zone,
    String name,
    String signIn,
    String password) {}
