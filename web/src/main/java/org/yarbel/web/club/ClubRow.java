package org.yarbel.web.club;

import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.SequenceGenerator;
import org.hibernate.annotations.PartitionKey;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A row of a club. Hibernate binds every query to the club of who asks; another club's row does not exist. */
@MappedSuperclass
public abstract class ClubRow {
  @Id
  @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "yarbel_id")
  @SequenceGenerator(name = "yarbel_id", sequenceName = "yarbel_id", allocationSize = 50)
  private @Nullable Long id;

  @TenantId
  @PartitionKey
  private @Nullable Long clubId;

  /** Whether it was never saved. */
  public boolean isNew() {
    return id == null;
  }

  /** The id; only of a row that was saved. */
  public long id() {
    if (id == null) {
      throw new IllegalStateException("The row was not saved yet");
    }
    return id;
  }
}
