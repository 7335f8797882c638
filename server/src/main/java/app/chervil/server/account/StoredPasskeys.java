package app.chervil.server.account;

import app.chervil.server.account.PasskeyMapper.PasskeyRow;
import java.nio.ByteBuffer;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialType;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;

/** People and passkeys as Spring Security asks for them. */
final class StoredPasskeys implements PublicKeyCredentialUserEntityRepository, UserCredentialRepository {
    private final PasskeyMapper mapper;
    private final String rpId;

    /**
     * Those of one server name.
     *
     * @param rpId the name
     */
    StoredPasskeys(PasskeyMapper mapper, String rpId) {
        this.mapper = mapper;
        this.rpId = rpId;
    }

    @Override
    public @Nullable PublicKeyCredentialUserEntity findById(Bytes id) {
        return handle(id).flatMap(mapper::login).map(login -> entity(login, id)).orElse(null);
    }

    @Override
    public @Nullable PublicKeyCredentialUserEntity findByUsername(String login) {
        return mapper.handle(login).map(handle -> entity(login, bytes(handle))).orElse(null);
    }

    /** Everybody has a handle from the beginning. */
    @Override
    public void save(PublicKeyCredentialUserEntity person) {
        throw new IllegalStateException("nobody is made by a passkey");
    }

    @Override
    public void delete(Bytes id) {
        throw new IllegalStateException("passkeys are removed by their person");
    }

    @Override
    public void save(CredentialRecord one) {
        UUID handle = handle(one.getUserEntityUserId()).orElseThrow();
        boolean known = mapper.find(one.getCredentialId().getBytes()).isPresent();
        mapper.save(new PasskeyRow(
                one.getCredentialId().getBytes(),
                mapper.login(handle).orElseThrow(),
                handle,
                one.getLabel(),
                rpId,
                one.getPublicKey().getBytes(),
                one.getSignatureCount(),
                one.isBackupEligible(),
                one.isBackupState(),
                Objects.requireNonNull(one.getAttestationObject()).getBytes(),
                Objects.requireNonNull(one.getAttestationClientDataJSON()).getBytes(),
                one.getCreated(),
                known ? one.getLastUsed() : null));
    }

    @Override
    public @Nullable CredentialRecord findByCredentialId(Bytes id) {
        return mapper.find(id.getBytes())
                .filter(row -> row.rpId().equals(rpId))
                .map(StoredPasskeys::record)
                .orElse(null);
    }

    @Override
    public List<CredentialRecord> findByUserId(Bytes id) {
        return handle(id).flatMap(mapper::login).map(mapper::list).orElse(List.of()).stream()
                .filter(row -> row.rpId().equals(rpId))
                .map(StoredPasskeys::record)
                .toList();
    }

    private static CredentialRecord record(PasskeyRow row) {
        return ImmutableCredentialRecord.builder()
                .credentialType(PublicKeyCredentialType.PUBLIC_KEY)
                .credentialId(new Bytes(row.credentialId()))
                .userEntityUserId(bytes(row.handle()))
                .publicKey(new ImmutablePublicKeyCose(row.publicKey()))
                .signatureCount(row.signatureCount())
                .uvInitialized(true)
                .transports(Set.of())
                .backupEligible(row.backupEligible())
                .backupState(row.backedUp())
                .attestationObject(new Bytes(row.attestation()))
                .attestationClientDataJSON(new Bytes(row.clientData()))
                .created(row.madeAt())
                .lastUsed(Objects.requireNonNullElse(row.usedAt(), row.madeAt()))
                .label(row.label())
                .build();
    }

    private static PublicKeyCredentialUserEntity entity(String login, Bytes id) {
        return ImmutablePublicKeyCredentialUserEntity.builder()
                .name(login)
                .displayName(login)
                .id(id)
                .build();
    }

    private static Bytes bytes(UUID handle) {
        return new Bytes(ByteBuffer.allocate(16)
                .putLong(handle.getMostSignificantBits())
                .putLong(handle.getLeastSignificantBits())
                .array());
    }

    private static Optional<UUID> handle(Bytes id) {
        if (id.getBytes().length != 16) {
            return Optional.empty();
        }
        ByteBuffer read = ByteBuffer.wrap(id.getBytes());
        return Optional.of(new UUID(read.getLong(), read.getLong()));
    }
}
