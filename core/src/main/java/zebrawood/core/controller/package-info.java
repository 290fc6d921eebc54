/**
 * Do the controller's numbered settings suit the machine? Start at
 * {@link zebrawood.core.controller.ControllerSettings}.
 */
package zebrawood.core.controller;
