package mosaicknife.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.aop.support.AopUtils;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.transaction.annotation.Transactional;
import org.testng.annotations.Test;

/**
 * Whatever changes something asks for a permission where it changes it, not only on the way there.
 */
public class EveryChangeTest extends WithDatabase {

  /** They only look, in whatever transaction there is. */
  private static final Set<String> READS =
      Set.of(
          "CatalogueEditor.findKind",
          "CatalogueEditor.shipped",
          "HouseBook.code",
          "HouseSettings.today",
          "LotInspector.judge",
          "LotInspector.signs",
          "PotProbe.log",
          "Soaks.thickness",
          "WayKeeper.sizeOf");

  /** Before anybody is signed in, or of the person alone who asks. */
  private static final Set<String> AT_THE_DOOR =
      Set.of(
          "Feed.open",
          "Feed.close",
          "HouseSettings.found",
          "KnownBrowsers.forget",
          "KnownBrowsers.remember",
          "SignInGuard.admit",
          "SignInGuard.forgive",
          "SignInGuard.succeeded");

  /**
   * A supplier nobody knew is written down with the lot or the price list that names it, and an
   * entry of the book by the station that keeps its section.
   */
  private static final Set<String> WITHIN =
      Set.of("HouseSettings.addSupplier", "HouseBook.add", "HouseBook.takeOut", "HouseBook.write");

  /**
   * Of the house, not of a venue; or asked where what was typed is read, or by the service that
   * does it.
   */
  private static final Set<String> OF_THE_HOUSE =
      Set.of(
          "CatalogueEditor",
          "DishEditor.add",
          "HouseBook",
          "HouseOptions",
          "HouseRules",
          "HouseSettings",
          "PeopleRegister",
          "PotPrices",
          "PriceKeeper",
          "SupplierEditor",
          "Transfers",
          "TrayEditor",
          "UseBook.retire",
          "UseBook.save",
          "WayKeeper");

  @Autowired private ApplicationContext app;

  @Test
  public void whatChangesSomethingAsksForAPermission() {
    Set<String> open = new TreeSet<>();
    Set<String> anywhere = new TreeSet<>();
    int asked = 0;
    for (String one : app.getBeanDefinitionNames()) {
      Object bean = app.getBean(one);
      Class<?> type = AopUtils.getTargetClass(bean);
      if (!type.getName().startsWith("mosaicknife.app.")) {
        continue;
      }
      for (Method method : type.getDeclaredMethods()) {
        if (!changes(type, method)) {
          continue;
        }
        boolean asks =
            AnnotatedElementUtils.hasAnnotation(method, PreAuthorize.class)
                || AnnotatedElementUtils.hasAnnotation(type, PreAuthorize.class);
        asked += asks ? 1 : 0;
        String name = type.getSimpleName() + "." + method.getName();
        if (!asks) {
          open.add(name);
        } else if (!asksWhere(type, method)) {
          anywhere.add(name);
        }
      }
    }
    anywhere.removeIf(
        one -> OF_THE_HOUSE.contains(one) || OF_THE_HOUSE.contains(one.split("\\.")[0]));
    open.removeAll(READS);
    open.removeAll(AT_THE_DOOR);
    open.removeAll(WITHIN);
    assertTrue(asked > 80, "only " + asked);
    assertEquals(open, Set.of());
    assertEquals(
        String.join(" ", anywhere), "", "change what is kept at a venue without asking where");
  }

  private static boolean asksWhere(Class<?> type, Method method) {
    PreAuthorize own = AnnotatedElementUtils.findMergedAnnotation(method, PreAuthorize.class);
    PreAuthorize all = AnnotatedElementUtils.findMergedAnnotation(type, PreAuthorize.class);
    return (own == null ? all : own).value().contains("@here.");
  }

  private static boolean changes(Class<?> type, Method method) {
    Transactional own = AnnotatedElementUtils.findMergedAnnotation(method, Transactional.class);
    Transactional all = AnnotatedElementUtils.findMergedAnnotation(type, Transactional.class);
    Transactional holds = own != null ? own : all;
    return Modifier.isPublic(method.getModifiers())
        && !method.isSynthetic()
        && !Modifier.isStatic(method.getModifiers())
        && holds != null
        && !holds.readOnly()
        && !AnnotatedElementUtils.hasAnnotation(method, EventListener.class);
  }
}
