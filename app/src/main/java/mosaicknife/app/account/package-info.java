/**
 * People, their roles and how they sign in: pages by session, the API by token.
 *
 * <p>Read {@link mosaicknife.app.account.Role}, {@link mosaicknife.app.account.PeopleRegister} and
 * {@link mosaicknife.app.account.CurrentPerson}.
 */
package mosaicknife.app.account;
