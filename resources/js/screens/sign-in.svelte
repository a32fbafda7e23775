<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';

    const form = useForm({ email: '', password: '', remember: false });

    function signIn(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/sign-in', { onError: () => (form.password = '') });
    }
</script>

<svelte:head><title>Sign in · Upswept Bead</title></svelte:head>

<main class="mx-auto grid min-h-screen max-w-4xl items-center gap-10 p-6 md:grid-cols-[1fr_20rem]">
    <div>
        <svg viewBox="0 -4 420 158" class="w-full" aria-hidden="true">
            <path
                d="M10 130h120a70 70 0 0 0 62-38l18-36a70 70 0 0 1 62-38h138"
                fill="none"
                stroke="var(--tube)"
                stroke-width="34"
            />
            <path
                d="M130 130a70 70 0 0 0 62-38M210 56a70 70 0 0 1 62-38"
                fill="none"
                stroke="var(--bend)"
                stroke-width="34"
            />
            <path
                d="M10 130h120a70 70 0 0 0 62-38l18-36a70 70 0 0 1 62-38h138"
                fill="none"
                stroke="var(--ink)"
                stroke-width="0.8"
                stroke-dasharray="14 4 2 4"
            />
            <path
                d="M130 110v40M174.2 82.8l35.6 18.4M192.2 46.8l35.6 18.4M272 -2v40"
                stroke="var(--ink)"
                stroke-width="1.4"
            />
        </svg>
        <h1 class="font-label mt-6 text-5xl font-semibold">Upswept Bead</h1>
        <p class="text-quiet mt-2 max-w-md text-lg">
            From a tape-measured survey to a welded, logged exhaust: the routes, the marks, the settings and
            the record.
        </p>
    </div>
    <form class="sheet space-y-3 p-5" onsubmit={signIn}>
        <h2 class="heading">Sign in</h2>
        <TextField
            label="Address"
            type="email"
            name="email"
            autocomplete="username"
            required
            value={form.email}
            error={form.errors.email ?? ''}
            oninput={(event) => (form.email = event.currentTarget.value)}
        />
        <TextField
            label="Password"
            type="password"
            name="password"
            autocomplete="current-password"
            required
            value={form.password}
            error={form.errors.password ?? ''}
            oninput={(event) => (form.password = event.currentTarget.value)}
        />
        <label class="tap flex items-center gap-2">
            <input type="checkbox" class="size-6" bind:checked={form.remember} />
            Stay signed in on this device for a month
        </label>
        <Button look="main" type="submit" class="w-full" disabled={form.processing}
            >{form.processing ? 'Signing in…' : 'Sign in'}</Button
        >
    </form>
</main>
