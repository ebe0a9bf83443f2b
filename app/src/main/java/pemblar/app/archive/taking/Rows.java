package pemblar.app.archive.taking;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.archive.Shelf;
import pemblar.app.note.NoteFiles;

/**
 * Takes the rows of an archive in, all of them in one transaction. Each is held against its table and against the area
 * that it belongs to; one that does not hold is left out and said. Figures of recordings are not taken: they are
 * computed from the files.
 */
@Service
class Rows {
    private final JdbcClient sql;
    private final Tables tables;
    private final ArchiveStore store;
    private final NoteFiles noteFiles;

    Rows(JdbcClient sql, Tables tables, ArchiveStore store, NoteFiles noteFiles) {
        this.sql = sql;
        this.tables = tables;
        this.store = store;
        this.noteFiles = noteFiles;
    }

    /** @throws IllegalArgumentException with a sentence when the archive as a whole cannot be taken in */
    @Transactional
    public void take(ArchiveStore.Status archive) {
        Taking taking = new Taking(sql, tables, store, archive);
        taking.people();
        for (Shelf shelf : Shelf.taken()) taking.shelf(shelf);
        taking.files(noteFiles);
        taking.keep();
        store.state(archive.id(), ArchiveStore.State.READING);
    }
}
