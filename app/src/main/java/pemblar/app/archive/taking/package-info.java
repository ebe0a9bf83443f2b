/** A person's archive taken in: off the wire, into rows, and each recording read anew. */
package pemblar.app.archive.taking;
