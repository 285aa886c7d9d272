<?php

declare(strict_types=1);

namespace App\Debrief\Actions;

use App\Exceptions\ActionException;
use App\Models\DebriefCase;
use App\Models\DebriefSession;
use Illuminate\Support\Facades\DB;

/** The presenter's notes on a case, and its place in the order. */
final readonly class KeepDebriefCase
{
    /** @throws ActionException */
    public function notes(DebriefSession $session, DebriefCase $case, string $notes): void
    {
        $this->held($session, static fn (DebriefSession $s) => $s->cases()->whereKey($case->id)->firstOrFail()
            ->update(['notes' => $notes]));
    }

    /**
     * @param  int  $to  its position, from 1
     *
     * @throws ActionException
     */
    public function move(DebriefSession $session, DebriefCase $case, int $to): void
    {
        $this->held($session, static function (DebriefSession $s) use ($case, $to): void {
            $order = $s->cases()->get()->values()->all();
            $moved = array_values(array_filter($order, static fn (DebriefCase $c): bool => $c->is($case)));
            $rest = array_values(array_filter($order, static fn (DebriefCase $c): bool => ! $c->is($case)));
            array_splice($rest, max(0, min(count($rest), $to - 1)), 0, $moved);
            foreach ($rest as $i => $each) {
                $each->update(['position' => $i + 1]);
            }
            $s->changed();
        });
    }

    /**
     * @param  \Closure(DebriefSession): mixed  $do
     *
     * @throws ActionException
     */
    private function held(DebriefSession $session, \Closure $do): void
    {
        DB::transaction(static function () use ($session, $do): void {
            $session = DebriefSession::query()->lockForUpdate()->findOrFail($session->id);
            if (! $session->isOpen()) {
                throw ActionException::because('refusals.debrief.over', status: ActionException::LOCKED);
            }
            $do($session);
        });
    }
}
