<?php

use App\Debrief\Actions\AskRoom;
use App\Debrief\Actions\BeginDebrief;
use App\Debrief\Actions\EndDebrief;
use App\Debrief\Actions\JoinDebrief;
use App\Debrief\Debrief;
use App\Models\DebriefSession;
use App\Models\DebriefVote;
use App\Models\Enums\VoteKind;
use App\Models\Enums\VoteStage;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;

/*
 * Votes against the closing of the vote and the end of the debrief: the processes are real and so are their
 * transactions.
 */

/** A debrief that is held, with people who have joined. @return array{DebriefSession, list<User>} */
function crowdedDebrief(): array
{
    app(Onlookers::class)->forget();
    $head = User::query()->where('role', 'head-coach')->firstOrFail();
    $round = Sitting::query()->where('name', 'Spring round')->firstOrFail();
    $places = array_column(array_slice(app(Debrief::class)->order($round, $head), 0, 2), 'place');
    $session = app(BeginDebrief::class)($round, $places, $head);
    $staff = User::query()->where('role', 'instructor')->orderBy('id')->limit(5)->get()->all();
    foreach ($staff as $member) {
        app(JoinDebrief::class)($session, $member);
    }

    return [$session->refresh(), array_values($staff)];
}

it('counts every vote that was acknowledged before the vote closed, the last of each person, and none after', function () {
    onACopy($this, function (string $database): void {
        $head = User::query()->where('role', 'head-coach')->firstOrFail();
        $cut = 0;
        for ($n = 0; $n < many(3, 12) || ($cut === 0 && $n < 15); $n++) {
            [$session, $staff] = crowdedDebrief();
            $case = $session->current()->firstOrFail();
            $question = app(AskRoom::class)($session, $case, VoteKind::Presence, (string) $case->topic);
            $barrier = sys_get_temp_dir().'/barrier-'.bin2hex(random_bytes(6));
            $processes = array_map(static fn (User $u) => Process::path(base_path())
                ->env(['DB_DATABASE' => $database, 'APP_ENV' => 'testing'])
                ->start([PHP_BINARY, 'tests/Feature/Debrief/vote.php', "$session->id", "$question->id", "$u->id",
                    $barrier]), $staff);
            while (array_filter($processes, static fn ($p): bool => $p->running()
                && ! str_contains($p->output(), 'ready')) !== []) {
                usleep(3000);
            }
            touch($barrier);
            usleep(1000 * mt_rand(5, 120));
            // Once the vote is closed, at other times once the debrief is over.
            if ($n % 2 === 0) {
                app(AskRoom::class)->on($session, $question, VoteStage::Before);
            } else {
                app(EndDebrief::class)($session, $head);
            }
            $closed = DebriefVote::query()->where('debrief_question_id', $question->id)->get()
                ->mapWithKeys(static fn (DebriefVote $v): array => [$v->voter => $v->answer])->all();
            $last = [];
            foreach ($processes as $i => $process) {
                $result = $process->wait();
                expect($result->successful())->toBeTrue($result->errorOutput().$result->output());
                $said = array_values(array_filter(
                    explode("\n", $result->output()),
                    static fn (string $line): bool => ! in_array($line, ['', 'ready'], true),
                ));
                $cut += count($said) < 40 ? 1 : 0;
                if ($said !== []) {
                    $last[$staff[$i]->id] = end($said);
                }
            }
            unlink($barrier);
            $kept = DebriefVote::query()->where('debrief_question_id', $question->id)->get();
            // Nothing came after the closing, and nothing acknowledged is missing.
            expect($kept->mapWithKeys(static fn (DebriefVote $v): array => [$v->voter => $v->answer])->all())
                ->toBe($closed)
                ->and(collect($last)->sort()->values()->all())
                ->toBe($kept->pluck('answer')->sort()->values()->all());
        }
        expect($cut)->toBeGreaterThan(0);
    });
});

it('begins under two codes, asks once and ends once when two head coaches press at the same time', function () {
    onACopy($this, function (): void {
        $head = User::query()->where('role', 'head-coach')->firstOrFail();
        [$one] = crowdedDebrief();
        [$two] = crowdedDebrief();
        expect($one->code)->not->toBe($two->code);
        $case = $one->current()->firstOrFail();
        $first = app(AskRoom::class)($one, $case, VoteKind::Presence, (string) $case->topic);
        $again = app(AskRoom::class)($one, $case, VoteKind::Presence, (string) $case->topic);
        expect($again->is($first))->toBeTrue();
        foreach ([1, 2] as $ignored) {
            app(AskRoom::class)->on($one, $first, VoteStage::Before);
        }
        expect($first->refresh()->stage)->toBe(VoteStage::Between);
        app(EndDebrief::class)($one, $head);
        $ended = $one->refresh()->ended_at;
        app(EndDebrief::class)($one, $head);
        expect($one->refresh()->ended_at?->equalTo($ended))->toBeTrue()
            ->and(DB::table('audit_entries')->where('action', 'debrief-ended')->count())->toBe(1)
            // A code is free again once its debrief is over.
            ->and(DebriefSession::query()->whereNull('ended_at')->where('code', $one->code)->exists())->toBeFalse();
    });
});
