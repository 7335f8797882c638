package app.chervil.core.agenda;

import app.chervil.core.filter.Material;
import app.chervil.core.tank.TankChore;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A thing to bring, and how many of it. */
public record Carried(Material thing, int count) {
    /** Serves more than one task. */
    public boolean shared() {
        return thing.use() == Material.Use.SHARED;
    }

    /** What work needs together: what is shared once, the rest for each. */
    static List<Carried> by(Collection<Agenda.Subject> subjects) {
        Map<Material, Integer> things = new LinkedHashMap<>();
        for (Agenda.Subject subject : subjects) {
            for (Material thing : subject.carry()) {
                things.merge(thing, 1, (had, one) -> thing.use() == Material.Use.SHARED ? had : had + one);
            }
        }
        return things.entrySet().stream()
                .map(thing -> new Carried(thing.getKey(), thing.getValue()))
                .toList();
    }

    /** What a chore needs. */
    static List<Material> by(TankChore kind) {
        return switch (kind) {
            case WATER_CHANGE -> List.of(Material.SIPHON, Material.BUCKET);
            case SUBSTRATE_VACUUM -> List.of(Material.SIPHON);
            case ROCK_BLOW_OFF -> List.of(Material.ROCK_PUMP);
            case LIGHTS_AND_COVERS -> List.of(Material.SOFT_CLOTH);
            case PLANT_TRIM -> List.of(Material.SCISSORS);
            case AIR_PUMP -> List.of(Material.AIR_STONE);
            case MEDIA_PORTION -> List.of(Material.BIO_MEDIA, Material.BUCKET);
            case SKIMMER_CUP, TOP_OFF -> List.of();
        };
    }
}
