package mosaicknife.core.clock;

/** Tasks and equipment of the tests, by names that can be read. */
final class Named {

  static final long LANTERN = 1;

  private Named() {}

  static TaskId id(String name) {
    return new TaskId(TaskId.Kind.THAW, name, "");
  }

  static EquipmentId gear(String name) {
    return new EquipmentId(name, LANTERN);
  }

  static Task task(String name, int minutes) {
    return Task.of(id(name), name, minutes);
  }

  static Task.After after(String name, int least, int most) {
    return new Task.After(id(name), least, most);
  }

  /** What was named, as the ways out tell it. */
  static String of(WayOut.Means what) {
    if (what instanceof TaskId task) {
      return task.of();
    }
    if (what instanceof EquipmentId equipment) {
      return equipment.kind();
    }
    return what instanceof WayOut.Somebody one ? one.id() : ((WayOut.Way) what).name();
  }
}
