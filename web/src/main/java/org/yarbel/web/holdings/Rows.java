package org.yarbel.web.holdings;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.LongUnaryOperator;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;
import org.yarbel.web.club.CarriedDocument;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reads rows as JSON, a row at a time however many there are, and gives what names rows other numbers. */
@Component
class Rows {
  private static final int AT_ONCE = 1_000;

  private final NamedParameterJdbcTemplate jdbc;
  private final Columns columns;
  private final Map<String, List<CarriedDocument>> documents;
  private final JsonMapper json = JsonMapper.builder().enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS).build();

  Rows(JdbcTemplate template, Columns columns, List<CarriedDocument> documents) {
    JdbcTemplate streaming = new JdbcTemplate(java.util.Objects.requireNonNull(template.getDataSource()));
    streaming.setFetchSize(AT_ONCE);
    this.jdbc = new NamedParameterJdbcTemplate(streaming);
    this.columns = columns;
    this.documents = documents.stream().collect(Collectors.groupingBy(CarriedDocument::table));
  }

  /** Whose rows are wanted: all of a club, or a lifter's alone. */
  record Whose(long club, long lifter) {
    static Whose club(long club) {
      return new Whose(club, 0);
    }

    private MapSqlParameterSource parameters() {
      return new MapSqlParameterSource("club", club).addValue("lifter", lifter);
    }

    private String condition(Tables.Table table) {
      String own = table.name().equals("club") ? "id = :club" : "club_id = :club";
      if (lifter == 0) {
        return own;
      }
      return table.ofLifter().isEmpty() ? "false" : own + " and " + table.ofLifter();
    }
  }

  /** The columns of a table that go out; the club's own number is nobody's. */
  List<Columns.Column> columns(Tables.Table table) {
    return columns.of(table.name()).stream().filter(column -> !table.name().equals("club") || !column.name().equals("id")).toList();
  }

  /** Every number that names a row in these tables, as often as it stands there. */
  long[] numbers(List<Tables.Table> tables, Whose whose) {
    List<long[]> found = new ArrayList<>();
    for (Tables.Table table : tables) {
      for (Columns.Column column : columns(table).stream().filter(Columns.Column::names).toList()) {
        List<Long> some = jdbc.queryForList("select distinct " + column.name() + " from " + table.name() + " where "
            + whose.condition(table) + " and " + column.name() + " is not null", whose.parameters(), Long.class);
        found.add(some.stream().mapToLong(Long::longValue).toArray());
      }
    }
    return found.stream().flatMapToLong(java.util.Arrays::stream).toArray();
  }

  /** Gives each row of a table, in its order, with the numbers of an archive. */
  void each(Tables.Table table, Whose whose, LongUnaryOperator number, Consumer<ObjectNode> take) {
    String wanted = columns(table).stream().map(Columns.Column::name).map(name -> "t." + name).collect(Collectors.joining(", "))
        + (table.name().equals("account") ? ", (select p.email from person p where p.id = t.person_id) as email" : "");
    jdbc.query("select row_to_json(r)::text from (select " + wanted + " from " + table.name() + " t where " + whose.condition(table)
        + " order by t." + table.order() + ") r", whose.parameters(), row -> {
          ObjectNode node = (ObjectNode) json.readTree(row.getString(1));
          renumber(table.name(), node, number);
          take.accept(node);
        });
  }

  /** Gives a row other numbers. */
  void renumber(String table, ObjectNode row, LongUnaryOperator number) {
    for (Columns.Column column : columns.of(table)) {
      JsonNode value = row.get(column.name());
      if (column.names() && value != null && value.isNumber()) {
        row.put(column.name(), number.applyAsLong(value.longValue()));
      }
    }
    for (CarriedDocument document : documents.getOrDefault(table, List.of())) {
      JsonNode value = row.get(document.column());
      if (value != null && value.isString()) {
        row.put(document.column(), document.with(value.stringValue(), number));
      }
    }
  }

  /** A row, or several, as text. */
  String line(JsonNode row) {
    return json.writeValueAsString(row);
  }

  JsonMapper json() {
    return json;
  }
}
