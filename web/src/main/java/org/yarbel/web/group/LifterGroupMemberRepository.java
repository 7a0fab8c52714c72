package org.yarbel.web.group;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Who is in which group. */
interface LifterGroupMemberRepository extends JpaRepository<LifterGroupMember, Long> {
  List<LifterGroupMember> findByGroupId(long groupId);
}
