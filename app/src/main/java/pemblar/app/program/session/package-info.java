/** Sessions and recordings for programs. */
package pemblar.app.program.session;
