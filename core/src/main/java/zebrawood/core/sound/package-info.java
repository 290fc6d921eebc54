/** What a recording tells: levels over time and pitch, and where in it something was marked. */
package zebrawood.core.sound;
