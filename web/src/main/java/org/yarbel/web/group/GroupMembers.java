package org.yarbel.web.group;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.problem.NotFound;

/** Groups and who is in them, for lists that are filtered by one. */
@Service
public class GroupMembers {
  private final LifterGroupRepository groups;
  private final LifterGroupMemberRepository members;

  GroupMembers(LifterGroupRepository groups, LifterGroupMemberRepository members) {
    this.groups = groups;
    this.members = members;
  }

  /** A group to choose. */
  public record Choice(long id, String name) {}

  /** All of the club, by name. */
  @Transactional(readOnly = true)
  public List<Choice> all() {
    return groups.findAllByOrderByName().stream().map(group -> new Choice(group.id(), group.name())).toList();
  }

  /** The lifters of a group of the club. */
  @Transactional(readOnly = true)
  public List<Long> of(long groupId) {
    groups.findById(groupId).orElseThrow(NotFound::new);
    return members.findByGroupId(groupId).stream().map(LifterGroupMember::lifterId).toList();
  }
}
