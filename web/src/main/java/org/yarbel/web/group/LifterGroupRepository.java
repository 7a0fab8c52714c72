package org.yarbel.web.group;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Groups of the club. */
interface LifterGroupRepository extends JpaRepository<LifterGroup, Long> {
  List<LifterGroup> findAllByOrderByName();

  Optional<LifterGroup> findByName(String name);

  /** Those whose name contains a text given in small letters. */
  @Query("select e from LifterGroup e where lower(e.name) like concat('%', :part, '%') escape '!' order by e.name, e.id")
  List<LifterGroup> called(String part, Limit limit);

  /** All groups with who is in them, by name; a group without anybody once, with null. */
  @Query("select g.id as id, g.name as name, m.lifterId as lifterId from LifterGroup g left join LifterGroupMember m on "
      + "m.groupId = g.id order by g.name, g.id")
  List<Membership> memberships();

  /** A group and one of its lifters. */
  interface Membership {
    long getId();

    String getName();

    @Nullable Long getLifterId();
  }
}
