/**
 * The interface for programs: JSON over HTTP under /api/v1 with tokens that a person makes (docs/formats/programs.md).
 * It reads and changes through the services that pages use, and decides nothing itself. Start with ProgramSecurity for
 * who gets in and SessionsApi for how an answer is made.
 */
package pemblar.app.program;
