package app.chervil.server.archive;

import app.chervil.server.archive.ArchiveMapper.Numbered;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.List;

/** Numbers to be stored. */
record NumberedRows(@JsonValue List<Numbered> rows) {}
