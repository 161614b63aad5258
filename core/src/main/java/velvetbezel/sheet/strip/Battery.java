package velvetbezel.sheet.strip;

/**
 * A battery of the vehicle, the main one first.
 *
 * @param place              "engine bay", "boot"
 * @param clamp              tool for its clamp
 * @param behindElectricLock the lid over it opens by power only
 * @param minutes            to move one clamp
 */
public record Battery(String id, String place, ScrewDrive clamp, boolean behindElectricLock, Minutes minutes) {}
