package velvetbezel.sheet.strip;

import java.util.List;

/**
 * A battery of the vehicle, the main one first.
 *
 * @param place              "engine bay", "boot"
 * @param clamp              tool for its clamp
 * @param behind             parts in front of it: the boot lid
 * @param behindElectricLock what is in front of it opens by power only: closed with the battery off, there is no way
 *                           back to it
 * @param minutes            to move one clamp
 */
public record Battery(
        String id, String place, ScrewDrive clamp, List<Behind> behind, boolean behindElectricLock, Minutes minutes) {
    public Battery {
        behind = List.copyOf(behind);
    }
}
