/**
 * How does what is typed become an entry? Start at {@link zebrawood.desktop.recording.Recording}: every page and every
 * sheet records through it; {@link zebrawood.desktop.recording.DraftKeeper} keeps what is only half typed.
 */
package zebrawood.desktop.recording;
