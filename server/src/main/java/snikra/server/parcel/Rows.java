package snikra.server.parcel;

import java.sql.Clob;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import snikra.formats.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Rows of a table as JSON, column by column, and back. */
final class Rows {
  private final JdbcTemplate database;

  Rows(JdbcTemplate database) {
    this.database = database;
  }

  /** All rows of a table, or those with this value in a column, in the order of their ids. */
  List<ObjectNode> of(String table, @Nullable String column, @Nullable String value) {
    String where = column == null ? "" : " where " + column + " = ?";
    Object[] with = value == null ? new Object[0] : new Object[] {value};
    return database.query(
        "select * from " + table + where + " order by id", (row, n) -> read(row), with);
  }

  private static ObjectNode read(ResultSet row) throws SQLException {
    ObjectNode told = Json.mapper().createObjectNode();
    ResultSetMetaData columns = row.getMetaData();
    for (int c = 1; c <= columns.getColumnCount(); c++) {
      String name = columns.getColumnName(c).toLowerCase(Locale.ROOT);
      Object value = row.getObject(c);
      if (value == null) {
        told.putNull(name);
      } else if (value instanceof Boolean is) {
        told.put(name, is);
      } else if (value instanceof Number number) {
        told.put(name, number.longValue());
      } else if (value instanceof OffsetDateTime at) {
        told.put(name, DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(at));
      } else if (value instanceof Clob) {
        told.put(name, row.getString(c));
      } else {
        told.put(name, value.toString());
      }
    }
    return told;
  }

  /** Writes a row that is not there yet. Columns of a newer Snikra are refused by the database. */
  void insert(String table, ObjectNode row) {
    List<String> names = new ArrayList<>();
    List<Object> values = new ArrayList<>();
    row.properties()
        .forEach(
            cell -> {
              if (!cell.getKey().matches("[a-z][a-z0-9_]{0,40}")) {
                throw new IllegalArgumentException(cell.getKey());
              }
              names.add(cell.getKey());
              values.add(value(cell.getValue()));
            });
    String sql =
        "insert into %s (%s) values (%s)"
            .formatted(
                table,
                String.join(", ", names),
                names.stream().map(n -> "?").collect(Collectors.joining(", ")));
    database.update(sql, values.toArray());
  }

  private static @Nullable Object value(JsonNode cell) {
    if (cell.isNull()) {
      return null;
    }
    return cell.isBoolean() ? cell.asBoolean() : cell.isNumber() ? cell.asLong() : cell.asString();
  }
}
