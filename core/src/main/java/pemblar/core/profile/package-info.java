/** An athlete's best power per kg against reference bands. Start at {@link pemblar.core.profile.ProfileBands}. */
package pemblar.core.profile;
