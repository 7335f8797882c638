package app.chervil.server.visit;

import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.visit.Photo.Moment;
import app.chervil.server.visit.Photo.Of;
import app.chervil.server.visit.PhotoMapper.Picture;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionOperations;

/** Photos before and after a service, and of how a filter is built, kept beside them in the database. */
@Service
public class PhotoOperations {
    public static final int MOST_BYTES = 5 * 1024 * 1024;
    static final int MOST = 20;

    private final PhotoMapper mapper;
    private final TransactionOperations transactions;
    private final Clock clock;

    PhotoOperations(PhotoMapper mapper, TransactionOperations transactions, Clock clock) {
        this.mapper = mapper;
        this.transactions = transactions;
        this.clock = clock;
    }

    /**
     * A photo as its client tells of it.
     *
     * @param id made by the client
     */
    record Told(UUID id, Moment moment, String caption) {}

    /** Photos of a service or a filter, oldest first. */
    @Transactional(readOnly = true)
    public List<Photo> list(SignedIn who, Of of) {
        return mapper.list(who.siteId(), service(of), filter(of));
    }

    private static @Nullable UUID service(Of of) {
        return of instanceof Of.Service service ? service.id() : null;
    }

    private static @Nullable Long filter(Of of) {
        return of instanceof Of.Filter filter ? filter.id() : null;
    }

    private boolean isThere(SignedIn who, Of of) {
        UUID service = service(of);
        Long filter = filter(of);
        return (service != null && mapper.findService(who.siteId(), service))
                || (filter != null && mapper.findFilter(who.siteId(), filter));
    }

    /**
     * Keeps a photo under an id its client made; sent again, it is kept once. What is kept is the picture alone: where and
     * with what it was taken is left out.
     *
     * @throws NotFound if the site has no such service, or no such filter in use
     * @throws Rejected if its caption is too long, if it is too large, no picture, one too many, or if another is kept under its id
     */
    void add(SignedIn who, Of of, Told told, byte[] bytes) {
        if (told.caption().length() > Photo.LONGEST_CAPTION) {
            throw Rejected.field("caption", "size", "At most 120 characters.");
        }
        if (bytes.length > MOST_BYTES) {
            throw Rejected.field("photo", "too-large", "At most 5 MB a photo.");
        }
        byte[] picture = PlainPicture.of(bytes);
        transactions.executeWithoutResult(status -> {
            mapper.lock(who.siteId(), of.toString());
            if (!isThere(who, of)) {
                throw new NotFound(of.words());
            }
            if (mapper.findSame(who.siteId(), service(of), filter(of), told.id(), picture)) {
                return;
            }
            if (list(who, of).size() >= MOST) {
                throw tooMany(of);
            }
            Photo photo = new Photo(told.id(), told.moment(), clock.instant(), who.name(), told.caption());
            if (insert(who, of, photo, picture) == 0) {
                throw Rejected.taken();
            }
        });
    }

    /**
     * Keeps a photo as an archive tells of it.
     *
     * @return whether it is new
     * @throws Rejected if it is no picture, or one too many
     */
    @Transactional(propagation = Propagation.MANDATORY, noRollbackFor = Rejected.class)
    public boolean bringIn(SignedIn who, Of of, Photo photo, byte[] bytes) {
        byte[] picture = PlainPicture.of(bytes);
        mapper.lock(who.siteId(), of.toString());
        if (list(who, of).size() >= MOST) {
            throw tooMany(of);
        }
        return insert(who, of, photo, picture) > 0;
    }

    private int insert(SignedIn who, Of of, Photo photo, byte[] picture) {
        return mapper.insert(who.siteId(), service(of), filter(of), photo, new Picture(PlainPicture.TYPE, picture));
    }

    private static Rejected tooMany(Of of) {
        return Rejected.field("photo", "too-many", "At most 20 photos a " + of.words() + ".");
    }

    /**
     * The picture itself.
     *
     * @throws NotFound if the site has no such photo
     */
    @Transactional(readOnly = true)
    public Picture find(SignedIn who, UUID id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("photo"));
    }

    @Transactional
    public void delete(SignedIn who, UUID id) {
        if (mapper.delete(who.siteId(), id) == 0) {
            throw new NotFound("photo");
        }
    }
}
