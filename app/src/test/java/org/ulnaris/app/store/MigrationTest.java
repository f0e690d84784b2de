package org.ulnaris.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A shop as an earlier version kept it, with the collisions that it let pass. */
class MigrationTest {
    @TempDir
    Path folder;

    @Test
    void collisionsOfEarlierVersionsAreParted() {
        DriverManagerDataSource source = new DriverManagerDataSource(new DataFolder(folder).url(), "ulnaris", "");
        Flyway.configure().dataSource(source).target("9").load().migrate();
        JdbcTemplate shop = new JdbcTemplate(source);
        shop.update(
                "insert into job (id, version, name, kind, nominal_voltage_v, charging_voltage_v, units, rule_set, created_at)"
                        + " values (1, 0, 'Old', 'MOBILE', 12, 14.4, 'METRIC', 'CFR_183_425', current_timestamp)");
        shop.update("insert into equipment (id, version, job_id, tag, name, kind) values (1, 0, 1, 'F1', '', 'FUSE')");
        cable(shop, 1, "f1");
        cable(shop, 2, "K2");
        for (int id = 1; id <= 2; id++) {
            shop.update(
                    "insert into load_case (id, version, job_id, name, hours_per_day) values (?, 0, 1, ?, 1)",
                    id,
                    id == 1 ? "Night" : "NIGHT");
            shop.update(
                    "insert into die (id, version, tag, family, across_flats_mm, width_mm, material)"
                            + " values (?, 0, ?, '', 11.9, 5, 'COPPER')",
                    id,
                    id == 1 ? "RACE" : "race");
        }
        for (int id = 1; id <= 3; id++) {
            shop.update(
                    "insert into reading (id, cable_id, step, kind, figure, limit_figure, unit, verdict, explanation, source,"
                            + " taken_at, superseded) values (?, 2, 'cut', 'CUT_LENGTH', ?, 1, 'mm', 'PASS', '', '',"
                            + " current_timestamp, false)",
                    id,
                    id);
        }

        Flyway.configure().dataSource(source).load().migrate();

        assertThat(shop.queryForList("select tag from cable order by id", String.class))
                .containsExactly("f1-1", "K2");
        assertThat(shop.queryForList("select tag from equipment", String.class)).containsExactly("F1");
        assertThat(shop.queryForList("select name from load_case order by id", String.class))
                .containsExactly("Night", "NIGHT (2)");
        assertThat(shop.queryForList("select tag from die order by id", String.class))
                .containsExactly("RACE", "race-2");
        assertThat(shop.queryForList("select id from reading where not superseded", Integer.class))
                .containsExactly(3);
        assertThat(shop.queryForObject(
                        "select max(cast(\"version\" as integer)) from \"flyway_schema_history\"", Integer.class))
                .isEqualTo(Backup.newestSchema());
    }

    /** What every cable and load began with is nobody's word, but where something is made or a motor is allowed more now. */
    @Test
    void aDropThatNobodyTypedIsNoFigureAnyMore() {
        DriverManagerDataSource source = new DriverManagerDataSource(new DataFolder(folder).url(), "ulnaris", "");
        Flyway.configure().dataSource(source).target("15").load().migrate();
        JdbcTemplate shop = new JdbcTemplate(source);
        shop.update(
                "insert into job (id, version, name, kind, nominal_voltage_v, charging_voltage_v, units, rule_set, created_at)"
                        + " values (1, 0, 'Old', 'MOBILE', 12, 14.4, 'METRIC', 'CFR_183_425', current_timestamp)");
        for (String piece : List.of("'INV', 'INVERTER', 3", "'WIN', 'MOTOR', 3", "'LAMP', 'ELECTRONICS', 5")) {
            shop.update("insert into equipment (id, version, job_id, name, tag, kind, drop_percent) values"
                    + " ((select count(*) from equipment), 0, 1, '', " + piece + ")");
        }
        cable(shop, 1, "INV+");
        cable(shop, 2, "WIN+");
        cable(shop, 3, "TYPED");
        cable(shop, 4, "MADE");
        shop.update("update cable set to_point = 'WIN.plus' where id = 2");
        shop.update("update cable set drop_percent = 2 where id = 3");
        shop.update("insert into step_done (id, cable_id, step, done_at) values (1, 4, 'cut', current_timestamp)");

        Flyway.configure().dataSource(source).load().migrate();

        assertThat(shop.queryForList("select drop_percent from cable order by id", Double.class))
                .containsExactly(null, 3.0, 2.0, 3.0);
        assertThat(shop.queryForList("select drop_percent from equipment order by id", Double.class))
                .containsExactly(null, 3.0, 5.0);
    }

    private static void cable(JdbcTemplate shop, long id, String tag) {
        shop.update(
                "insert into cable (id, version, job_id, place, tag, from_point, to_point, polarity, current_a, length_m,"
                        + " drop_percent, insulation_temp_c, ambient_c, engine_space, bundled, series, slack_mm)"
                        + " values (?, 0, 1, ?, ?, '', '', 'POSITIVE', 10, 1, 3, 105, 30, false, 1, 'METRIC', 150)",
                id,
                id,
                tag);
    }
}
