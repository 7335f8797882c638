package app.chervil.server.archive;

import app.chervil.core.site.TankBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.archive.Bringing.Choice;
import app.chervil.server.archive.Bringing.Taken;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.Photo;
import app.chervil.server.visit.PhotoOperations;
import java.io.IOException;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Takes an archive in, whole or by tank. Its preview is the thing itself, taken back before anybody sees it; so what is told
 * beforehand is what comes.
 */
@Service
class BringingOperations {
    /** Nothing that is kept speaks of a day later than this. */
    private static final int MOST_YEARS_AHEAD = 10;

    private final ArchiveMapper mapper;
    private final PhotoOperations photos;
    private final SiteBooks books;
    private final TankOperations tanks;
    private final TransactionOperations transactions;

    BringingOperations(
            ArchiveMapper mapper,
            PhotoOperations photos,
            SiteBooks books,
            TankOperations tanks,
            TransactionOperations transactions) {
        this.mapper = mapper;
        this.photos = photos;
        this.books = books;
        this.tanks = tanks;
        this.transactions = transactions;
    }

    /**
     * What would come in; nothing is stored.
     *
     * @throws Rejected if the file is no archive, or holds a tank that this server could not work with
     */
    BringingView preview(SignedIn who, Path file, Choice choice) throws IOException {
        return run(who, file, choice, true);
    }

    /**
     * Brings it in; the same archive once more changes nothing.
     *
     * @throws Rejected as its preview does
     */
    BringingView bringIn(SignedIn who, Path file, Choice choice) throws IOException {
        return run(who, file, choice, false);
    }

    private BringingView run(SignedIn who, Path file, Choice choice, boolean back) throws IOException {
        who.mustBeKeeper();
        try (ArchiveFile archive = ArchiveFile.open(file)) {
            return transactions.execute(status -> {
                mapper.lock(who.siteId());
                Bringing bringing = new Bringing(who, mapper, archive, row -> photo(who, archive, row, back), choice);
                bringing.run(tanks.today().plusYears(MOST_YEARS_AHEAD));
                bringing.chosenHere().forEach((tank, name) -> works(who, tank, name));
                if (back) {
                    status.setRollbackOnly();
                }
                return bringing.view();
            });
        }
    }

    /** Works out what a tank asks for, so that nothing is taken in that would stop its site. */
    private void works(SignedIn who, long tank, String name) {
        try {
            TankBook book = books.tank(who, tank);
            book.forecasts();
            book.holds();
        } catch (RuntimeException unusable) {
            throw Rejected.field(
                    "archive",
                    "unusable",
                    "What this archive says of “" + name + "” cannot be. Choose the other tanks without it.");
        }
    }

    private Taken photo(SignedIn who, ArchiveFile archive, ObjectNode row, boolean back) {
        String id = row.get("id").asString();
        Optional<byte[]> bytes = archive.photo(id, PhotoOperations.MOST_BYTES);
        if (bytes.isEmpty()) {
            return Taken.NO_PICTURE;
        }
        if (back) {
            return Taken.BROUGHT;
        }
        Photo photo = new Photo(
                UUID.fromString(id),
                Photo.Moment.valueOf(row.get("moment").asString()),
                OffsetDateTime.parse(row.get("taken_at").asString()).toInstant(),
                row.get("taken_by").asString(),
                row.path("caption").asString(""));
        JsonNode service = row.path("service_id");
        Photo.Of of = service.isString()
                ? new Photo.Of.Service(UUID.fromString(service.asString()))
                : new Photo.Of.Filter(row.get("filter_id").asLong());
        try {
            return photos.bringIn(who, of, photo, bytes.get()) ? Taken.BROUGHT : Taken.THERE;
        } catch (Rejected noPicture) {
            return Taken.NO_PICTURE;
        }
    }
}
