<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuditEntry;
use App\Models\Recording;
use App\Models\Round;
use App\Models\User;
use App\Queries\Codebooks;
use Core\Codebook\StandardLenses;
use Illuminate\Support\Facades\DB;

/** Writes down a round as a draft: which recordings, who reads them, what is shown. */
final readonly class PlanRound
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /**
     * @param  list<int>  $recordings
     * @param  list<int>  $members
     * @param  'both'|'film'|'trace'  $show
     *
     * @throws ActionException
     */
    public function __invoke(string $name, string $kind, array $recordings, array $members, string $show, User $by, string $lens = StandardLenses::DEFAULT): Round
    {
        $role = $kind === Round::PANEL ? User::PANEL : User::INSTRUCTOR;
        $wrong = User::query()->whereKey($members)->where('role', '<>', $role)->pluck('name');
        if ($wrong->isNotEmpty()) {
            throw new ActionException($wrong->join(', ', ' and ').' cannot read in a '.$kind.' round. Nothing was stored.');
        }

        return DB::transaction(function () use ($name, $kind, $recordings, $members, $show, $by, $lens): Round {
            $round = Round::query()->create([
                'name' => $name, 'kind' => $kind, 'lens' => $lens, 'codebook_version' => $this->codebooks->document()->version(), 'seed' => bin2hex(random_bytes(16)), 'created_by' => $by->id,
            ]);
            foreach (Recording::query()->whereKey($recordings)->withExists('motion')->get() as $recording) {
                $film = $show !== 'trace' && (bool) $recording->getAttribute('motion_exists');
                $round->cases()->create(['recording_id' => $recording->id, 'shows_film' => $film, 'shows_trace' => $show !== 'film' || ! $film]);
            }
            $round->members()->attach($members);
            AuditEntry::note($by, 'plan', "round $name", ['cases' => count($recordings), 'members' => count($members)]);

            return $round;
        });
    }
}
