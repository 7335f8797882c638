package app.chervil.server.archive;

import app.chervil.server.account.SignedIn;
import app.chervil.server.archive.ArchiveMapper.Column;
import app.chervil.server.archive.ArchiveMapper.Numbered;
import app.chervil.server.archive.ArchiveMapper.OwnParameter;
import app.chervil.server.archive.BringingView.BringingCount;
import app.chervil.server.archive.BringingView.BringingFault;
import app.chervil.server.archive.BringingView.BringingTank;
import app.chervil.server.archive.BringingView.Standing;
import app.chervil.server.archive.RowCheck.Checked;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * One run over an archive: each row is checked, given the numbers that what it refers to has here, and added unless it is
 * there. A row at fault stays out, and with it whatever refers to it.
 */
final class Bringing {
    private static final int BATCH = 500;
    private static final int MOST_FAULTS_TOLD = 100;
    private static final String OWN_CODE = "OWN_";
    /** Who wrote a row there is nobody here. */
    private static final List<String> WRITERS = List.of("written_by", "recorded_by");

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final SignedIn who;
    private final ArchiveMapper mapper;
    private final ArchiveFile archive;
    private final Photos photos;
    private final Choice choice;
    private final boolean own;
    private final OtherNumbers others;

    private final Map<ArchiveTable, Map<String, Placed>> placed = new EnumMap<>(ArchiveTable.class);
    private final Belonging belonging = new Belonging();
    private final Map<ArchiveTable, Set<Long>> taken = new EnumMap<>(ArchiveTable.class);
    private final Map<ArchiveTable, Map<Long, Long>> numbers = new EnumMap<>(ArchiveTable.class);
    private final Map<String, Long> ownParameters;
    private final Map<Long, Boolean> deletedHere;
    private final List<Numbered> drawn = new ArrayList<>();

    private final Map<Long, Found> tanks = new LinkedHashMap<>();
    private final Map<ArchiveTable, int[]> counts = new EnumMap<>(ArchiveTable.class);
    private final List<BringingFault> faults = new ArrayList<>();
    private int faultCount;

    /**
     * What is to come in.
     *
     * @param tanks by their numbers in the archive; empty for all that were not deleted there
     * @param stores whether Stores, vessels and the site's rules come along
     */
    record Choice(Set<Long> tanks, boolean stores) {}

    /** Takes in a photo of a row that was found good. */
    interface Photos {
        Taken take(ObjectNode row);
    }

    /** What became of a photo. */
    enum Taken {
        BROUGHT,
        THERE,
        NO_PICTURE
    }

    /** A row that is here now. */
    private record Placed(String ours, boolean there) {}

    /** A row that waits for its batch. */
    private record Waiting(int line, ObjectNode row, Optional<String> theirs, boolean draws) {}

    private static final class Found {
        private final String name;
        private final boolean deleted;
        private final Map<ArchiveTable, Integer> rows = new EnumMap<>(ArchiveTable.class);

        Found(String name, boolean deleted) {
            this.name = name;
            this.deleted = deleted;
        }
    }

    Bringing(SignedIn who, ArchiveMapper mapper, ArchiveFile archive, Photos photos, Choice choice) {
        this.who = who;
        this.mapper = mapper;
        this.archive = archive;
        this.photos = photos;
        this.choice = choice;
        UUID mark = mapper.mark(who.siteId());
        this.own = archive.head().mark().equals(mark);
        this.others = new OtherNumbers(mapper, who.siteId(), mark, archive.otherNumbers());
        mapper.listNumbers(who.siteId(), archive.head().mark())
                .forEach(number ->
                        numbers(ArchiveTable.valueOf(number.relation())).put(number.theirs(), number.ours()));
        others.here().forEach((row, number) -> numbers(row.table()).putIfAbsent(row.ours(), number));
        this.ownParameters = mapper.listOwnParameters(who.siteId()).stream()
                .collect(Collectors.toMap(OwnParameter::name, OwnParameter::ours));
        this.deletedHere = mapper.listTanks(who.siteId()).stream()
                .collect(Collectors.toMap(ArchiveMapper.Standing::id, ArchiveMapper.Standing::deleted));
    }

    /**
     * Brings in what was chosen.
     *
     * @param latest day that anything may speak of
     */
    void run(LocalDate latest) {
        Map<String, List<Column>> columns =
                mapper.listColumns().stream().collect(Collectors.groupingBy(Column::relation));
        for (ArchiveTable table : ArchiveTable.values()) {
            RowCheck check = new RowCheck(table.relation(), columns.getOrDefault(table.relation(), List.of()), latest);
            List<Waiting> batch = new ArrayList<>();
            archive.rows(table, (line, text) -> {
                Checked checked = check.check(text);
                if (checked.row() == null) {
                    fault(table, line, Objects.requireNonNull(checked.fault()));
                } else {
                    consider(table, line, checked.row()).ifPresent(waiting -> {
                        if (batch.size() == BATCH || !alike(batch, waiting)) {
                            flush(table, batch);
                        }
                        batch.add(waiting);
                    });
                }
            });
            flush(table, batch);
        }
        if (!drawn.isEmpty()) {
            mapper.saveNumbers(who.siteId(), archive.head().mark(), new NumberedRows(drawn));
            others.remember(drawn);
        }
        List<Long> back = chosenHere().keySet().stream()
                .filter(id -> deletedHere.getOrDefault(id, false))
                .toList();
        if (!back.isEmpty()) {
            mapper.undelete(who.siteId(), JSON.writeValueAsString(back));
        }
    }

    /** Names of the tanks that were chosen, by their numbers here. */
    Map<Long, String> chosenHere() {
        return placed(ArchiveTable.TANK).entrySet().stream()
                .collect(Collectors.toMap(
                        one -> Long.valueOf(one.getValue().ours()),
                        one -> Objects.requireNonNull(tanks.get(Long.valueOf(one.getKey()))).name));
    }

    BringingView view() {
        return new BringingView(
                archive.head().name(),
                archive.head().made(),
                own,
                tanks.entrySet().stream()
                        .map(one -> view(one.getKey(), one.getValue()))
                        .toList(),
                counts.entrySet().stream()
                        .map(one -> new BringingCount(one.getKey(), one.getValue()[0], one.getValue()[1]))
                        .toList(),
                faultCount,
                List.copyOf(faults));
    }

    private BringingTank view(long theirs, Found found) {
        Optional<Boolean> here = here(ArchiveTable.TANK, theirs).map(ours -> deletedHere.getOrDefault(ours, false));
        return new BringingTank(
                theirs,
                found.name,
                found.deleted,
                here.map(deleted -> deleted ? Standing.DELETED_HERE : Standing.HERE)
                        .orElse(Standing.NEW),
                chosen(theirs),
                found.rows.getOrDefault(ArchiveTable.SERVICE, 0),
                found.rows.getOrDefault(ArchiveTable.READING, 0),
                found.rows.getOrDefault(ArchiveTable.PHOTO, 0));
    }

    private boolean chosen(long tank) {
        Found found = tanks.get(tank);
        return found != null
                && (choice.tanks().isEmpty() ? !found.deleted : choice.tanks().contains(tank));
    }

    /** The number here of a row that has been brought before, or is of this very site; empty if it is new. */
    private Optional<Long> here(ArchiveTable table, long theirs) {
        Optional<Long> known =
                own ? Optional.of(theirs) : Optional.ofNullable(numbers(table).get(theirs));
        return known.filter(taken(table)::contains);
    }

    private Set<Long> taken(ArchiveTable table) {
        return taken.computeIfAbsent(table, one -> new HashSet<>(mapper.listTaken(who.siteId(), one.relation())));
    }

    private Map<Long, Long> numbers(ArchiveTable table) {
        return numbers.computeIfAbsent(table, one -> new HashMap<>());
    }

    private Map<String, Placed> placed(ArchiveTable table) {
        return placed.computeIfAbsent(table, one -> new HashMap<>());
    }

    /** A row that is to be added; empty if it is there, was not chosen, or stays out. */
    private Optional<Waiting> consider(ArchiveTable table, int line, ObjectNode row) {
        boolean ofTank = table.of() == ArchiveTable.Of.TANK && !Belonging.ofSite(row);
        if (ofTank) {
            if (table == ArchiveTable.TANK) {
                found(row);
            }
            Optional<Long> tank = belonging.tank(table, row);
            if (tank.isEmpty()) {
                return out(table, line, "", "It refers to something that is not in the archive.");
            }
            count(table, tank.get());
            if (!chosen(tank.get())) {
                return Optional.empty();
            }
        } else if (table.of() != ArchiveTable.Of.SITE && !choice.stores()) {
            return Optional.empty();
        }
        Optional<String> theirs = Optional.ofNullable(row.get("id")).map(JsonNode::asString);
        for (String column : table.references()) {
            JsonNode value = row.get(column);
            if (value == null || value.isNull()) {
                continue;
            }
            Placed parent = placed(ArchiveTable.target(column)).get(value.asString());
            if (parent == null) {
                return out(table, line, column, "It belongs to a row that stays out.");
            }
            if (parent.there() && table.whole().filter(column::equals).isPresent()) {
                tally(table, true);
                return Optional.empty();
            }
            if (ArchiveTable.target(column).numbered()) {
                row.put(column, Long.parseLong(parent.ours()));
            }
        }
        if (!ownCode(row)) {
            return out(table, line, "parameter", "It is of a parameter that stays out.");
        }
        WRITERS.forEach(row::remove);
        return table.numbered() ? numbered(table, line, row) : Optional.of(new Waiting(line, row, theirs, false));
    }

    private Optional<Waiting> numbered(ArchiveTable table, int line, ObjectNode row) {
        long theirs = row.get("id").asLong();
        Optional<Long> same = here(table, theirs);
        if (table == ArchiveTable.OWN_PARAMETER && same.isEmpty()) {
            same = Optional.ofNullable(ownParameters.get(row.get("name").asString()));
        }
        if (same.isPresent()) {
            placed(table).put(Long.toString(theirs), new Placed(Long.toString(same.get()), true));
            tally(table, true);
            return Optional.empty();
        }
        if (table.built() && !own && filterWasHere(row)) {
            return out(table, line, "", "Its filter is here already and was built otherwise when it came.");
        }
        if (table == ArchiveTable.TANK) {
            // Whoever chooses a tank that was deleted there wants it.
            row.putNull("deleted_at");
        }
        return Optional.of(new Waiting(line, row, Optional.of(Long.toString(theirs)), !own));
    }

    private boolean filterWasHere(ObjectNode row) {
        String filter = row.get("filter_id").asString();
        return placed(ArchiveTable.FILTER).values().stream()
                .anyMatch(one -> one.there() && one.ours().equals(filter));
    }

    private void found(ObjectNode row) {
        boolean deleted = !row.path("deleted_at").isNull() && row.has("deleted_at");
        tanks.put(row.get("id").asLong(), new Found(row.get("name").asString(), deleted));
    }

    private void count(ArchiveTable table, long tank) {
        Found found = tanks.get(tank);
        if (found != null) {
            found.rows.merge(table, 1, Integer::sum);
        }
    }

    /** Gives one of the site's own parameters the number it has here; false if it stays out. */
    private boolean ownCode(ObjectNode row) {
        String code = row.path("parameter").asString("");
        if (!code.startsWith(OWN_CODE)) {
            return true;
        }
        Placed parameter = placed(ArchiveTable.OWN_PARAMETER).get(code.substring(OWN_CODE.length()));
        if (parameter != null) {
            row.put("parameter", OWN_CODE + parameter.ours());
        }
        return parameter != null;
    }

    private static boolean alike(List<Waiting> batch, Waiting next) {
        return batch.isEmpty()
                || Set.copyOf(batch.get(0).row().propertyNames())
                        .equals(Set.copyOf(next.row().propertyNames()));
    }

    private void flush(ArchiveTable table, List<Waiting> batch) {
        if (batch.isEmpty()) {
            return;
        }
        if (table == ArchiveTable.PHOTO) {
            batch.forEach(
                    waiting -> settle(table, waiting, photos.take(waiting.row()).name()));
        } else {
            int many = (int) batch.stream().filter(Waiting::draws).count();
            Iterator<Long> fresh =
                    (many == 0 ? List.<Long>of() : mapper.drawNumbers(table.relation(), many)).iterator();
            batch.stream().filter(Waiting::draws).forEach(waiting -> waiting.row()
                    .put("id", fresh.next()));
            List<String> told = mapper.bring(
                    who.siteId(),
                    table.relation(),
                    JSON.writeValueAsString(batch.stream().map(Waiting::row).toList()));
            for (int place = 0; place < batch.size(); place++) {
                settle(table, batch.get(place), told.get(place));
            }
        }
        batch.clear();
    }

    private void settle(ArchiveTable table, Waiting waiting, String told) {
        boolean there = told.equals("THERE");
        if (!there && !told.equals("BROUGHT")) {
            fault(table, waiting.line(), RowFault.of(told));
            return;
        }
        tally(table, there);
        waiting.theirs().ifPresent(theirs -> {
            String ours = waiting.row().get("id").asString();
            if (!there || !waiting.draws()) {
                placed(table).put(theirs, new Placed(ours, there));
            }
            if (!there && waiting.draws()) {
                drawn.add(new Numbered(table.name(), Long.parseLong(theirs), Long.parseLong(ours)));
            }
        });
    }

    private void tally(ArchiveTable table, boolean there) {
        counts.computeIfAbsent(table, one -> new int[2])[there ? 1 : 0]++;
    }

    private Optional<Waiting> out(ArchiveTable table, int line, String field, String words) {
        fault(table, line, new RowFault(field, words));
        return Optional.empty();
    }

    private void fault(ArchiveTable table, int line, RowFault fault) {
        faultCount++;
        if (faults.size() < MOST_FAULTS_TOLD) {
            faults.add(new BringingFault(ArchiveFile.name(table), line, fault.field(), fault.words()));
        }
    }
}
