/** All that Pemblar keeps of a person, in one file. Start at {@link pemblar.app.archive.ArchiveService}. */
package pemblar.app.archive;
