/** Secrets that must be read again, sealed by a key that is not in the database. */
package pemblar.app.seal;
