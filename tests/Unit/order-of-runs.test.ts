import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { send } from '@/lib/http';
import { JobDesk } from '@/lib/job-desk.svelte';
import { sendInTurn } from '@/lib/in-turn';
import { OrderOfRuns } from '@/lib/order-of-runs.svelte';
import { somePlan, someView } from './some-view';

vi.mock('@/lib/http', () => ({ send: vi.fn() }));
const sent = vi.mocked(send);
const found = { order: [{ run: 'A', along: 'up', tip: null }], stuck: [], alone: [] };
const answer = { ok: true, data: { insertion: found, plan: { fit: { ordered: false } } } as never } as const;
const no = (status: number, message: string) => ({
    ok: false as const,
    status,
    message,
    errors: {},
    body: null,
});

beforeEach(() => {
    vi.useFakeTimers();
    sent.mockReset();
});
afterEach(() => vi.useRealTimers());

it('asks when edits have settled, once for the last of them', async () => {
    sent.mockResolvedValue(answer);
    const order = new OrderOfRuns();
    const callOff = order.ask(new JobDesk(someView(), 'Wren'), 100);
    await vi.advanceTimersByTimeAsync(60);
    callOff();
    order.ask(new JobDesk(someView(), 'Wren'), 100);
    await vi.advanceTimersByTimeAsync(200);
    expect(sent).toHaveBeenCalledTimes(1);
    expect(order.insertion).toEqual(found);
});

it('asks again for what is still being worked out, and says why there is none', async () => {
    sent.mockResolvedValueOnce(no(429, 'still being worked out'));
    sent.mockResolvedValueOnce(no(503, 'This takes longer than one request may.'));
    const order = new OrderOfRuns();
    order.ask(new JobDesk(someView(), 'Wren'), 100);
    await vi.advanceTimersByTimeAsync(150);
    expect(order.said).toBe('');
    await vi.advanceTimersByTimeAsync(2000);
    expect(order.said).toBe('This takes longer than one request may.');
    expect(order.insertion).toBeNull();
});

it('takes no answer for runs that have changed meanwhile', async () => {
    sent.mockResolvedValue(answer);
    const desk = new JobDesk(someView(), 'Wren');
    const order = new OrderOfRuns();
    order.ask(desk, 100);
    await vi.advanceTimersByTimeAsync(99);
    desk.plan = somePlan();
    await vi.advanceTimersByTimeAsync(10);
    expect(order.insertion).toBeNull();
});

it('waits for its turn where something else is being worked out for the same person', async () => {
    sent.mockResolvedValueOnce(no(429, 'still being worked out'));
    sent.mockResolvedValueOnce(no(429, 'still being worked out'));
    sent.mockResolvedValueOnce(answer);
    const reply = sendInTurn('POST', '/jobs/1/insertion', 'GoesIn', {});
    await vi.advanceTimersByTimeAsync(4100);
    expect(await reply).toEqual(answer);
    expect(sent).toHaveBeenCalledTimes(3);
    sent.mockResolvedValueOnce(no(422, 'wrong'));
    expect(await sendInTurn('POST', '/jobs/1/insertion', 'GoesIn', {})).toMatchObject({ status: 422 });
});
