/** What was done without a recording, what is told and described of a session, and sets. Start with DoneService. */
package pemblar.app.session.done;
