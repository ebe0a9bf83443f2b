/** Best efforts against reference bands. */
package pemblar.app.evidence.profile;
