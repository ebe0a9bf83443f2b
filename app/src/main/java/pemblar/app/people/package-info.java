/**
 * Who coaches whom, as people see and change it: access, invitations. Rights are decided in
 * {@code pemblar.app.athlete}; start at {@link pemblar.app.people.InvitationService}.
 */
package pemblar.app.people;
