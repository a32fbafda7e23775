<script lang="ts">
    // Over whatever page is open when the session is lost; everything on the page stays.
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { session } from '@/lib/session.svelte';

    let email = $state('');
    let password = $state('');
    let wrong = $state('');
    let busy = $state(false);

    async function signIn(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        busy = true;
        wrong = await session.signIn(email, password);
        busy = false;
        password = '';
    }
</script>

<Dialog
    bind:open={() => session.asking, (open) => open || session.putOff()}
    title="You have been signed out"
    text="Nothing is lost: what you did is kept on this page and goes on once you are signed in again."
>
    <form class="space-y-3" onsubmit={signIn}>
        <TextField
            label="Address"
            type="email"
            autocomplete="username"
            required
            value={email}
            oninput={(event) => (email = event.currentTarget.value)}
        />
        <TextField
            label="Password"
            type="password"
            autocomplete="current-password"
            required
            value={password}
            error={wrong}
            oninput={(event) => (password = event.currentTarget.value)}
        />
        <p class="text-quiet">
            As {session.person?.name ?? 'yourself'} the page goes on; anybody else gets it anew.
        </p>
        <div class="flex flex-wrap gap-2">
            <Button look="main" type="submit" disabled={busy}>{busy ? 'Signing in…' : 'Sign in'}</Button>
            <Button look="quiet" onclick={() => session.putOff()}>Not now</Button>
        </div>
    </form>
</Dialog>
