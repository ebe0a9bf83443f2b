/** The second factor: codes by time, recovery codes, and asking for one at the sign-in. */
package pemblar.app.account.second;
