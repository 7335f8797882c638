package app.chervil.core.notebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DayOrderTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            MONTH_FIRST | 3/12/23            | 2023-03-12
            MONTH_FIRST | 03-12-2023         | 2023-03-12
            MONTH_FIRST | Sun 3/12/23        | 2023-03-12
            MONTH_FIRST | 3/12/23 6:30 PM    | 2023-03-12
            DAY_FIRST   | 12.3.2023          | 2023-03-12
            DAY_FIRST   | 12. 3. 23          | 2023-03-12
            YEAR_FIRST  | 23-03-12           | 2023-03-12
            MONTH_FIRST | 2023-03-12         | 2023-03-12
            DAY_FIRST   | 2023-03-12T18:30   | 2023-03-12
            DAY_FIRST   | March 12, 2023     | 2023-03-12
            DAY_FIRST   | Mar 12th, 23       | 2023-03-12
            MONTH_FIRST | 12 Mar 2023        | 2023-03-12
            MONTH_FIRST | 12-Mar-23          | 2023-03-12
            MONTH_FIRST | Sunday 12 March 2023 | 2023-03-12
            MONTH_FIRST | 44997              | 2023-03-12
            """)
    void days_are_read_as_people_write_them(DayOrder order, String written, LocalDate day) {
        assertThat(order.read(written)).contains(day);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "soon",
                "13/13/23",
                "2/30/23",
                "3/12",
                "3/12/123",
                "0/1/23",
                "12 Foo 2023",
                "2023",
                "3/12/23456"
            })
    void what_is_no_day_is_not_made_into_one(String written) {
        assertThat(DayOrder.MONTH_FIRST.read(written)).isEmpty();
    }

    @Test
    void one_day_beyond_twelve_tells_the_order_of_all() {
        assertThat(DayOrder.likeliest(List.of("3/4/23", "3/11/23", "3/18/23"), DayOrder.DAY_FIRST))
                .isEqualTo(DayOrder.MONTH_FIRST);
        assertThat(DayOrder.likeliest(List.of("4/3/23", "11/3/23", "18/3/23"), DayOrder.MONTH_FIRST))
                .isEqualTo(DayOrder.DAY_FIRST);
    }

    @Test
    void where_both_can_be_read_the_one_whose_days_follow_one_another_is_meant() {
        List<String> weekly = List.of("1/2/23", "8/2/23", "1/3/23", "8/3/23", "12/3/23");

        assertThat(DayOrder.likeliest(weekly, DayOrder.MONTH_FIRST)).isEqualTo(DayOrder.DAY_FIRST);
    }

    @Test
    void a_table_with_the_latest_on_top_is_read_as_well() {
        assertThat(DayOrder.likeliest(List.of("8/3/23", "1/3/23", "8/2/23", "1/2/23"), DayOrder.MONTH_FIRST))
                .isEqualTo(DayOrder.DAY_FIRST);
    }

    @Test
    void where_nothing_tells_the_site_s_own_order_holds() {
        assertThat(DayOrder.likeliest(List.of("5/5/23"), DayOrder.MONTH_FIRST)).isEqualTo(DayOrder.MONTH_FIRST);
        assertThat(DayOrder.likeliest(List.of(), DayOrder.DAY_FIRST)).isEqualTo(DayOrder.DAY_FIRST);
    }
}
