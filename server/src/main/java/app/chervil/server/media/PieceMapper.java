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
    @Select("""
            select id, name, kind, grams, since, from_id, done_by
            from media_piece
            where site_id = #{site} and removed_at is null
            order by name, since, id
            """)
    List<PieceRow> listPieces(long site);

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

    /** Moves of pieces that are on record, in the order they were made. */
    @Select("""
            select
              move.id, move.number, move.piece_id, move.moved_on, move.spot, move.tank_id, move.filter_id, move.for_tank_id,
              move.grams, move.parted, move.why, move.seen_on, move.done_by, filter.name as filter_name
            from media_move as move
            join media_piece as piece on piece.site_id = move.site_id and piece.id = move.piece_id
            left join filter on filter.site_id = move.site_id and filter.id = move.filter_id
            where move.site_id = #{site} and move.removed_at is null and piece.removed_at is null
            order by move.moved_on, move.number
            """)
    List<MoveRow> listMoves(long site);

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
}
