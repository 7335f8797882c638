package app.chervil.server.book;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Tables site_revision and tank_revision, which only triggers write. */
@Mapper
interface RevisionMapper {
    /** How many commits changed anything of the site; empty before the first. */
    @Select("select revision from site_revision where site_id = #{site}")
    Optional<Long> find(long site);

    /** Tanks of which anything changed after a revision. */
    @Select("select tank_id from tank_revision where site_id = #{site} and revision > #{after}")
    List<Long> listMoved(long site, long after);
}
