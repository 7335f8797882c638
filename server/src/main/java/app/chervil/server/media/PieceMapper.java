package app.chervil.server.media;

import app.chervil.server.media.PieceRows.MoveRow;
import app.chervil.server.media.PieceRows.PieceRow;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Tables media_piece and media_move. */
@Mapper
interface PieceMapper {
    /**
     * All media on record, and the site's own rule of when it is ripe.
     *
     * @param ripe the key of that rule
     */
    @Select("""
            select json_build_object(
              'pieces',
              coalesce((
                select json_agg(media_piece order by name, since, id)
                from media_piece
                where site_id = #{site} and removed_at is null
              ), '[]'),
              'moves',
              coalesce((
                select json_agg(
                  to_jsonb(move) || jsonb_build_object('filter_name', filter.name) order by move.moved_on, move.number)
                from media_move as move
                join media_piece as piece on piece.site_id = move.site_id and piece.id = move.piece_id
                left join filter on filter.site_id = move.site_id and filter.id = move.filter_id
                where move.site_id = #{site} and move.removed_at is null and piece.removed_at is null
              ), '[]'),
              'ripe_days',
              (select value from sum_rule where site_id = #{site} and rule_key = #{ripe})
            )
            """)
    Kept find(long site, String ripe);

    @Insert("""
            insert into media_piece (site_id, id, name, kind, grams, since, from_id, done_by)
            values (#{site}, #{row.id}, #{row.name}, #{row.kind}, #{row.grams}, #{row.since}, #{row.fromId}, #{row.doneBy})
            on conflict do nothing
            """)
    int insertPiece(long site, PieceRow row);

    @Update("update media_piece set name = #{name} where site_id = #{site} and id = #{id} and removed_at is null")
    int updateName(long site, UUID id, String name);

    @Update("update media_piece set removed_at = #{now} where site_id = #{site} and id = #{id} and removed_at is null")
    int deletePiece(long site, UUID id, Instant now);

    @Insert("""
            insert into media_move
              (site_id, id, piece_id, moved_on, spot, tank_id, filter_id, for_tank_id, grams, parted, why, done_by)
            values
              (#{site}, #{row.id}, #{row.pieceId}, #{row.movedOn}, #{row.spot}, #{row.tankId}, #{row.filterId},
              #{row.forTankId}, #{row.grams}, #{row.parted}, #{row.why}, #{row.doneBy})
            on conflict do nothing
            """)
    int insertMove(long site, MoveRow row);

    @Update("update media_move set removed_at = #{now} where site_id = #{site} and id = #{id} and removed_at is null")
    int deleteMove(long site, UUID id, Instant now);

    @Update("update media_move set seen_on = #{on} where site_id = #{site} and id = #{id} and removed_at is null")
    int updateSeen(long site, UUID id, @Nullable LocalDate on);

    /**
     * What a statement gathered of a site's media.
     *
     * @param pieces by name
     * @param moves of pieces that are on record, in the order they were made
     * @param ripeDays null where the site goes by our rule
     */
    record Kept(
            List<PieceRow> pieces,
            List<MoveRow> moves,
            @Nullable Double ripeDays) {}
}
