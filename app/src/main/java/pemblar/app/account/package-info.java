/** Accounts: sign-up and sign-in. Start at {@link pemblar.app.account.AccountService}. */
package pemblar.app.account;
