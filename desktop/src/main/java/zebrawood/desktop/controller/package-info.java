/**
 * How are a controller's settings taken, shown and changed? Start at {@link zebrawood.desktop.controller.SettingsBench}.
 */
package zebrawood.desktop.controller;

