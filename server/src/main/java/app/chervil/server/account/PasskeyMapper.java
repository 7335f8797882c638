package app.chervil.server.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Table passkey, and by what a person is held in it. */
@Mapper
interface PasskeyMapper {
    /** Passkeys as they are stored, each with its person. */
    String ROWS = """
            select credential_id, passkey.login, handle, label, rp_id, public_key, signature_count, backup_eligible,
              backed_up, attestation, client_data, made_at, used_at
            from passkey
            join person on person.login = passkey.login
            """;

    @Select("select handle from person where login = #{login}")
    Optional<UUID> handle(String login);

    @Select("select login from person where handle = #{handle}")
    Optional<String> login(UUID handle);

    @Select(ROWS + """
            where passkey.login = #{login}
            order by made_at, label
            """)
    List<PasskeyRow> list(String login);

    @Select(ROWS + """
            where credential_id = #{id}
            """)
    Optional<PasskeyRow> find(byte[] id);

    /** Adds a passkey, or notes that one was used. */
    @Insert("""
            insert into passkey (credential_id, login, label, rp_id, public_key, signature_count, backup_eligible, backed_up,
              attestation, client_data, made_at, used_at)
            values (#{credentialId}, #{login}, #{label}, #{rpId}, #{publicKey}, #{signatureCount}, #{backupEligible},
              #{backedUp}, #{attestation}, #{clientData}, #{madeAt}, #{usedAt})
            on conflict on constraint passkey_pk do update
            set signature_count = excluded.signature_count, backed_up = excluded.backed_up, used_at = excluded.used_at
            where passkey.login = excluded.login
            """)
    void save(PasskeyRow row);

    @Delete("delete from passkey where login = #{login} and credential_id = #{id}")
    int delete(String login, byte[] id);

    /**
     * A passkey as stored.
     *
     * @param handle of its person
     * @param rpId name of the server that it is for
     */
    @SuppressWarnings("ArrayRecordComponent") // read and written, never compared
    record PasskeyRow(
            byte[] credentialId,
            String login,
            UUID handle,
            String label,
            String rpId,
            byte[] publicKey,
            long signatureCount,
            boolean backupEligible,
            boolean backedUp,
            byte[] attestation,
            byte[] clientData,
            Instant madeAt,
            @Nullable Instant usedAt) {}
}
