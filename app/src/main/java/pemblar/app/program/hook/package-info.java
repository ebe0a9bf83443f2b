/** Addresses that are called back, and the signed calls. */
package pemblar.app.program.hook;
