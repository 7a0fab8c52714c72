package org.yarbel.web.holdings;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The tables of a club, in an order in which each refers to those before it, with whose rows stand in them. A table that belongs to a club
 * and is not named here is a fault that a test finds.
 */
final class Tables {
  private static final String BY_LIFTER = "lifter_id = :lifter";
  private static final String BY_RECORDS = "records_id in (select id from old_records where club_id = :club and lifter_id = :lifter)";
  private static final String BY_ATHLETE = "athlete_id in (select id from contest_athlete where club_id = :club and lifter_id = :lifter)";
  private static final String BY_SESSION = "session_id in (select id from training_session where club_id = :club and lifter_id = :lifter)";

  /**
   * A table.
   *
   * @param ofLifter which rows are a lifter's; empty for what is the club's alone
   * @param order by which its rows come out
   */
  record Table(String name, String ofLifter, String order) {
    static Table ofClub(String name) {
      return new Table(name, "", "id");
    }

    static Table of(String name, String condition) {
      return new Table(name, condition, "id");
    }
  }

  /** All that goes out and comes in. */
  static final List<Table> ALL = List.of(
      new Table("club", "", "id"),
      Table.ofClub("place"),
      Table.ofClub("club_lift"),
      Table.ofClub("club_threshold"),
      new Table("lift_name", "", "typed"),
      // an account names its lifter, and a lifter the coach's account: coaches come in after lifters, by a second look
      Table.of("lifter", "id = :lifter"),
      Table.of("account", BY_LIFTER),
      Table.of("lifter_place", BY_LIFTER),
      Table.of("lift_numbers", BY_LIFTER),
      Table.of("weigh_in", BY_LIFTER),
      Table.of("complaint", BY_LIFTER),
      Table.ofClub("lifter_group"),
      Table.of("lifter_group_member", BY_LIFTER),
      Table.ofClub("contest"),
      Table.of("contest_entry", BY_LIFTER),
      Table.of("contest_athlete", BY_LIFTER),
      Table.of("contest_note", BY_ATHLETE),
      Table.of("contest_attempt", BY_ATHLETE),
      Table.of("contest_result", BY_ATHLETE),
      Table.of("long_plan", BY_LIFTER),
      Table.of("progression", BY_LIFTER),
      Table.of("deload_week", BY_LIFTER),
      Table.of("training_session", BY_LIFTER),
      Table.of("slot", BY_SESSION),
      Table.of("card_issue", BY_SESSION),
      Table.of("logged_set", BY_LIFTER),
      Table.of("left_sets", BY_SESSION),
      Table.of("checked_in", BY_LIFTER),
      Table.of("session_log", BY_LIFTER),
      Table.of("session_word", BY_LIFTER),
      Table.of("clip", BY_LIFTER),
      Table.of("set_mark", BY_LIFTER),
      Table.of("tracked_point", BY_LIFTER),
      Table.of("standing_before", BY_LIFTER),
      Table.of("load_move", BY_LIFTER),
      new Table("load_mark", BY_LIFTER, "lifter_id"),
      Table.of("silence", BY_LIFTER),
      Table.of("change", BY_LIFTER),
      Table.of("coach_call", BY_LIFTER),
      Table.of("weekly_look", BY_LIFTER),
      Table.ofClub("template"));

  /** What stays where it is: doors and their keys, what is on its way, and what was written down of doors. */
  static final List<Table> STAYING = List.of(
      Table.of("calendar_feed", BY_LIFTER),
      Table.of("clip_upload", BY_LIFTER),
      Table.of("device_set", BY_LIFTER),
      Table.of("device", BY_LIFTER),
      Table.of("deletion", BY_LIFTER),
      Table.of("entry_link", BY_LIFTER),
      Table.of("old_row", BY_RECORDS),
      Table.of("old_set", BY_RECORDS),
      Table.of("old_fault", BY_RECORDS),
      Table.of("old_records", BY_LIFTER),
      Table.ofClub("letter"),
      Table.ofClub("happened"),
      Table.ofClub("job"),
      Table.ofClub("job_item"),
      Table.ofClub("due_work"),
      Table.of("sign_in", "account_id in (select id from account where club_id = :club and lifter_id = :lifter)"),
      Table.of("known_device", "account_id in (select id from account where club_id = :club and lifter_id = :lifter)"),
      Table.of("form_once", "account_id in (select id from account where club_id = :club and lifter_id = :lifter)"),
      Table.ofClub("demo_week"));

  /** Columns that never leave: how often a club was changed says nothing elsewhere, and a link leads here. */
  static final Set<String> LEFT_OUT = Set.of("club_id", "revision", "last_used", "all_lifters", "person_id", "spectators");

  private Tables() {}

  /** A table that goes out, by its name. */
  static Optional<Table> named(String name) {
    return ALL.stream().filter(table -> table.name().equals(name)).findFirst();
  }

  /** Whether a column of whole numbers names a row. */
  static boolean names(String column) {
    return column.equals("id") || column.endsWith("_id") || column.equals("link_of");
  }
}
