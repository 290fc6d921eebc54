/** What may be read, and what is refused with which words? Start at {@link zebrawood.core.reading.Checks}. */
package zebrawood.core.reading;
