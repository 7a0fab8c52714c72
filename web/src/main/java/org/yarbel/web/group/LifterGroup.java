package org.yarbel.web.group;

import jakarta.persistence.Entity;
import jakarta.persistence.Version;
import org.yarbel.web.club.ClubRow;

/** Lifters whose boards are written together. */
@Entity
class LifterGroup extends ClubRow {
  private String name = "";
  @Version private int version;

  protected LifterGroup() {}

  LifterGroup(String name) {
    this.name = name;
  }

  String name() {
    return name;
  }

  void rename(String newName) {
    this.name = newName;
  }

  int version() {
    return version;
  }
}
