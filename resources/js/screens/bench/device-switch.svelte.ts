// Whether readings come from instruments (stand-ins as yet) or are typed; this device remembers it.

const KEY = 'bead-devices';

class DeviceSwitch {
    isSimulated = $state(localStorage.getItem(KEY) === 'simulated');

    turn(): void {
        this.isSimulated = !this.isSimulated;
        try {
            localStorage.setItem(KEY, this.isSimulated ? 'simulated' : 'typed');
        } catch {
            // Then it lasts as long as the page.
        }
    }
}

export const deviceSwitch = new DeviceSwitch();
