package org.yarbel.web.holdings;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The columns of tables, as the database has them. */
@Component
class Columns {
  private final JdbcClient jdbc;
  private final Map<String, List<Column>> known = new ConcurrentHashMap<>();

  Columns(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A column and its type in the database's own words. */
  record Column(String name, String type, boolean nullable) {
    /** Whether it names a row. */
    boolean names() {
      return type.equals("bigint") && Tables.names(name);
    }

    /** Whether it is a mass in nanograms. */
    boolean mass() {
      return type.equals("bigint") && name.endsWith("_ng");
    }
  }

  /** Those of a table that go out, in the order they were made. */
  List<Column> of(String table) {
    return known.computeIfAbsent(table, name -> jdbc.sql("select column_name as name, data_type as type, is_nullable = 'YES' as nullable "
        + "from information_schema.columns where table_schema = 'public' and table_name = :table order by ordinal_position")
        .param("table", name).query(Column.class).list().stream().filter(column -> !Tables.LEFT_OUT.contains(column.name())).toList());
  }
}
