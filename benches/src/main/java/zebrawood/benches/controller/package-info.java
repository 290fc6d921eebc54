/**
 * How are a controller's settings taken, shown and changed? Start at
 * {@link zebrawood.benches.controller.SettingsBench}.
 */
package zebrawood.benches.controller;
