package mosaicknife.core.clock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** What is written down of a task names one task, and no other text does. */
public class TaskIdTest {

  @Test
  public void everyKindIsReadBackAsItWasWritten() {
    for (TaskId.Kind kind : TaskId.Kind.values()) {
      TaskId one = TaskId.of(kind, 12);
      assertEquals(TaskId.read(one.toString()), Optional.of(one));
      assertEquals(TaskId.read(one.step("cool").toString()), Optional.of(one.step("cool")));
    }
    assertEquals(TaskId.of(TaskId.Kind.POT, 12).step("cool").toString(), "pot12:cool");
    assertEquals(TaskId.read("thawK7-2"), Optional.of(new TaskId(TaskId.Kind.THAW, "K7-2", "")));
  }

  @Test
  public void whatNamesNoTaskIsNone() {
    for (String text : List.of("", "pot", "pot:cool", "potx:cool", "kettleBig1", "cut-7", "<b>")) {
      assertEquals(TaskId.read(text), Optional.empty(), text);
    }
    assertEquals(TaskId.read("cut" + "9".repeat(40)), Optional.empty());
    assertThrows(IllegalArgumentException.class, () -> new TaskId(TaskId.Kind.CUT, "seven", ""));
    assertThrows(IllegalArgumentException.class, () -> new TaskId(TaskId.Kind.THAW, "K7:2", ""));
  }
}
