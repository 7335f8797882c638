package app.chervil.server.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** Readings as files: what is brought in and taken out. */
@ChervilTest
class WaterFileApiTest extends WateredSite {
    @Test
    void what_is_exported_can_be_brought_in_elsewhere_and_is_known_at_home() throws Exception {
        site.post(keeper, readings(), set(2, below("NITRITE", 0.05), early("NITRATE", 12), value("TEMPERATURE", 21.5)));
        String csv =
                site.get(keeper, readings() + ".csv").andReturn().getResponse().getContentAsString();
        long other = site.tank(keeper);

        assertThat(csv.lines().findFirst())
                .contains("Time,Total ammonia (mg/L),Nitrite (mg/L),Nitrate (mg/L),"
                        + "Phosphate (mg/L),pH,Temperature (°C),Carbonate hardness (°dH),General hardness (°dH),Salinity (g/L),"
                        + "Conductivity (µS/cm),Read early");
        site.post(keeper, readings() + "/import-preview", text(csv))
                .andExpect(jsonPath("$.readings").value(3))
                .andExpect(jsonPath("$.known").value(3));
        site.post(keeper, "/api/tanks/" + other + "/readings/import", text(csv)).andExpect(status().isOk());
        site.get(keeper, "/api/tanks/" + other + "/readings")
                .andExpect(jsonPath("$", hasSize(3)))
                .andExpect(jsonPath("$[?(@.parameter == 'NITRATE')].early").value(true))
                .andExpect(jsonPath("$[?(@.parameter == 'NITRITE')].belowDetection")
                        .value(true));
    }

    @Test
    void a_file_with_bad_rows_names_each_and_brings_in_nothing() throws Exception {
        String csv = """
            Time,Nitrate (mg/L),pH
            2026-05-01T10:00,20,7.1
            yesterday,20,7.1
            2026-05-02,many,7.0
            2026-05-03,-4,7.0
            """;

        site.post(keeper, readings() + "/import-preview", text(csv))
                .andExpect(jsonPath("$.problems", hasSize(3)))
                .andExpect(jsonPath("$.problems[0].line").value(3))
                .andExpect(jsonPath("$.problems[1].column").value("Nitrate (mg/L)"));
        site.post(keeper, readings() + "/import", text(csv)).andExpect(status().isUnprocessableContent());
        site.get(keeper, readings()).andExpect(jsonPath("$", hasSize(0)));
        site.post(keeper, readings() + "/import-preview", text("Time,Nitrate (mg)\n2026-05-01,1"))
                .andExpect(jsonPath("$.problems[0].message").value(containsString("Nitrate (mg/L)")));
    }

    @Test
    void a_reading_that_was_removed_comes_back_when_it_is_imported_again() throws Exception {
        String csv = "Time,Nitrate (mg/L)\n2026-05-01T08:00,25\n";
        site.post(keeper, readings() + "/import", text(csv)).andExpect(status().isOk());
        String id = site.read(site.get(keeper, readings())).get(0).get("id").asString();
        site.delete(keeper, "/api/readings/" + id).andExpect(status().is2xxSuccessful());

        site.post(keeper, readings() + "/import", text(csv))
                .andExpect(jsonPath("$.readings").value(1))
                .andExpect(jsonPath("$.known").value(0));

        site.get(keeper, readings()).andExpect(jsonPath("$", hasSize(1)));
    }

    @Test
    void days_and_numbers_that_only_a_machine_would_write_are_named() throws Exception {
        for (String row : List.of(
                "0001-01-01T08:00,5",
                "-0005-01-01T08:00,5",
                "1949-12-31,5",
                "2026-05-01,0x1p3",
                "2026-05-01,5d",
                "2026-05-01,NaN",
                "2026-05-01,1e3",
                "2026-05-01,٣")) {
            site.post(keeper, readings() + "/import-preview", text("Time,Nitrate (mg/L)\n" + row + "\n"))
                    .andExpect(jsonPath("$.problems", hasSize(1)))
                    .andExpect(jsonPath("$.problems[0].line").value(2));
        }
    }

    @Test
    void a_column_that_is_there_twice_is_named() throws Exception {
        for (String heading :
                List.of("Time,Nitrate (mg/L),Nitrate (mg/L)", "Time,Nitrate (mg/L),NITRATE (MG/L)", "Time,Time,pH")) {
            site.post(keeper, readings() + "/import-preview", text(heading + "\n2026-05-01,5,6\n"))
                    .andExpect(jsonPath("$.problems[0].message").value("This column is there twice."));
        }
    }

    @Test
    void no_cell_of_an_export_is_a_formula() throws Exception {
        site.post(keeper, "/api/parameters", "{\"name\": \"=HYPERLINK(1)\", \"unit\": \"\"}")
                .andExpect(status().is2xxSuccessful());

        String csv =
                site.get(keeper, readings() + ".csv").andReturn().getResponse().getContentAsString();

        assertThat(csv).contains("'=HYPERLINK(1)").doesNotContain(",=");
        site.post(keeper, readings() + "/import-preview", text(csv))
                .andExpect(jsonPath("$.problems").isEmpty());
    }

    private static String text(String csv) {
        return JsonMapper.builder().build().createObjectNode().put("csv", csv).toString();
    }
}
