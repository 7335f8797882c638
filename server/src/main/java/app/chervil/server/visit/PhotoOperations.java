package app.chervil.server.visit;

import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.visit.Photo.Moment;
import app.chervil.server.visit.PhotoMapper.Picture;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionOperations;

/** Photos before and after a service, kept beside it in the database. */
@Service
public class PhotoOperations {
    public static final int MOST_BYTES = 5 * 1024 * 1024;
    static final int MOST_OF_SERVICE = 20;

    private final PhotoMapper mapper;
    private final TransactionOperations transactions;
    private final Clock clock;

    PhotoOperations(PhotoMapper mapper, TransactionOperations transactions, Clock clock) {
        this.mapper = mapper;
        this.transactions = transactions;
        this.clock = clock;
    }

    /** Photos of a service, in progress or logged. */
    @Transactional(readOnly = true)
    public List<Photo> list(SignedIn who, UUID service) {
        return mapper.list(who.siteId(), service);
    }

    /**
     * Keeps a photo under an id its client made; sent again, it is kept once. What is kept is the picture alone: where and
     * with what it was taken is left out.
     *
     * @throws NotFound if the site has no such service
     * @throws Rejected if it is too large, no picture, one too many, or if another is kept under its id
     */
    public void add(SignedIn who, UUID service, UUID id, Moment moment, byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            throw Rejected.field("photo", "too-large", "At most 5 MB a photo.");
        }
        byte[] picture = PlainPicture.of(bytes);
        transactions.executeWithoutResult(status -> {
            mapper.lock(who.siteId(), service);
            if (!mapper.findService(who.siteId(), service)) {
                throw new NotFound("service");
            }
            if (mapper.findSame(who.siteId(), service, id, picture)) {
                return;
            }
            if (mapper.list(who.siteId(), service).size() >= MOST_OF_SERVICE) {
                throw tooMany();
            }
            Photo photo = new Photo(id, moment, clock.instant(), who.name());
            if (mapper.insert(who.siteId(), service, photo, new Picture(PlainPicture.TYPE, picture)) == 0) {
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
    public boolean bringIn(SignedIn who, UUID service, Photo photo, byte[] bytes) {
        byte[] picture = PlainPicture.of(bytes);
        mapper.lock(who.siteId(), service);
        if (mapper.list(who.siteId(), service).size() >= MOST_OF_SERVICE) {
            throw tooMany();
        }
        return mapper.insert(who.siteId(), service, photo, new Picture(PlainPicture.TYPE, picture)) > 0;
    }

    private static Rejected tooMany() {
        return Rejected.field("photo", "too-many", "At most 20 photos a service.");
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
