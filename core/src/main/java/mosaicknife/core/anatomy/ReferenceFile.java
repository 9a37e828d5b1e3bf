package mosaicknife.core.anatomy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/**
 * A reference data file beside the classes: lines of fields between semicolons.
 *
 * <p>Lines that begin with {@code #} and empty lines are comments. Everything else must be
 * understood: an unknown line stops the load with file, line number and text.
 */
public final class ReferenceFile {

  private final String name;
  private final List<Line> lines = new ArrayList<>();

  private ReferenceFile(String name) {
    this.name = name;
  }

  /**
   * Reads a file.
   *
   * @param beside the class in whose package it lies
   * @param name its name
   * @return the file
   * @throws ReferenceDataException if it is not there or cannot be read
   */
  public static ReferenceFile open(Class<?> beside, String name) {
    ReferenceFile file = new ReferenceFile(name);
    try (InputStream stream = beside.getResourceAsStream(name)) {
      if (stream == null) {
        throw new IOException("no such resource");
      }
      file.readLines(new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8)));
    } catch (IOException e) {
      throw new ReferenceDataException(name, e);
    }
    return file;
  }

  /**
   * Reads a text as if it were a file.
   *
   * @param name what it is called in problems
   * @param text its lines
   * @return the file
   */
  public static ReferenceFile of(String name, String text) {
    ReferenceFile file = new ReferenceFile(name);
    try {
      file.readLines(new BufferedReader(new java.io.StringReader(text)));
    } catch (IOException e) {
      throw new ReferenceDataException(name, e);
    }
    return file;
  }

  private void readLines(BufferedReader reader) throws IOException {
    int number = 0;
    for (String text = reader.readLine(); text != null; text = reader.readLine()) {
      number++;
      if (!text.isBlank() && !text.startsWith("#")) {
        lines.add(new Line(name, number, text));
      }
    }
  }

  /**
   * Returns the lines that say something.
   *
   * @return all but comments and empty lines
   */
  public List<Line> lines() {
    return List.copyOf(lines);
  }

  /** One line with its place in the file, so that every problem can be located. */
  public static final class Line {

    private final String file;
    private final int number;
    private final String text;
    private final List<String> fields;

    Line(String file, int number, String text) {
      this.file = file;
      this.number = number;
      this.text = text;
      this.fields = Arrays.stream(text.split(";", -1)).map(String::strip).toList();
    }

    /**
     * Returns a field.
     *
     * @param index its place, from 0
     * @return its text
     * @throws ReferenceDataException if the line has fewer
     */
    public String field(int index) {
      if (index >= fields.size()) {
        throw problem("expected field %d".formatted(index + 1));
      }
      return fields.get(index);
    }

    /**
     * Returns whether a field says something; a line of before it was thought of does not have it.
     *
     * @param index its place, from 0
     * @return false where it is empty or not there
     */
    public boolean has(int index) {
      return index < fields.size() && !fields.get(index).isEmpty();
    }

    /**
     * Reads a field with a function; whatever the function refuses names this line.
     *
     * @param <T> what is read
     * @param index its place, from 0
     * @param reader the function
     * @return what the function made of it
     * @throws ReferenceDataException if the function refuses the text
     */
    public <T> T read(int index, Function<String, T> reader) {
      String value = field(index);
      try {
        return reader.apply(value);
      } catch (IllegalArgumentException e) {
        ReferenceDataException located = problem("field %d '%s'".formatted(index + 1, value));
        located.initCause(e);
        throw located;
      }
    }

    /**
     * Returns a field that is a list with commas.
     *
     * @param index its place, from 0
     * @return the items, none empty
     */
    public List<String> list(int index) {
      return Arrays.stream(field(index).split(",", -1))
          .map(String::strip)
          .filter(item -> !item.isEmpty())
          .toList();
    }

    /**
     * Locates a problem.
     *
     * @param problem what is wrong
     * @return the exception to throw, with file, line and text
     */
    public ReferenceDataException problem(String problem) {
      return new ReferenceDataException(file, number, text, problem);
    }
  }
}
