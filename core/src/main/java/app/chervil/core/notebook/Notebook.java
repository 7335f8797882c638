package app.chervil.core.notebook;

import java.util.List;
import java.util.stream.IntStream;

/**
 * A table as somebody kept it.
 *
 * @param headings of its columns; may be empty or the same twice
 * @param rows in the order in which they were written
 */
public record Notebook(List<String> headings, List<Row> rows) {
    public Notebook {
        headings = List.copyOf(headings);
        rows = List.copyOf(rows);
    }

    /**
     * One row.
     *
     * @param line in the file, 1 for its first
     * @param cells stripped, at most as many as there are headings; those that are missing are empty
     */
    public record Row(long line, List<String> cells) {
        public Row {
            cells = List.copyOf(cells);
        }

        public String cell(int column) {
            return column < cells.size() ? cells.get(column) : "";
        }

        /** Whether nothing is written in it. */
        public boolean blank() {
            return cells.stream().allMatch(String::isEmpty);
        }
    }

    /** What is written in a column, from the top, without empty cells. */
    public List<String> written(int column) {
        return rows.stream()
                .map(row -> row.cell(column))
                .filter(cell -> !cell.isEmpty())
                .toList();
    }

    IntStream columns() {
        return IntStream.range(0, headings.size());
    }
}
