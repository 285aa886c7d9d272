<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\CodebookDraft;
use App\Models\CodebookVersion;
use App\Models\User;
use Core\CoreException;
use Illuminate\Support\Facades\DB;

/**
 * Makes the draft the codebook that holds: as it was tried on the recordings, on the ground it was begun from, and
 * passing its checks. What was opened under another version goes on with that.
 */
final readonly class PublishDraft
{
    public function __construct(private KeepCodebook $keep, private Codebooks $codebooks)
    {
    }

    /** @throws ActionException in one sentence; nothing is stored */
    public function __invoke(
        CodebookDraft $draft,
        int $revision,
        string $version,
        string $note,
        User $by,
    ): CodebookVersion {
        return DB::transaction(function () use ($draft, $revision, $version, $note, $by): CodebookVersion {
            $draft = CodebookDraft::query()->lockForUpdate()->findOrFail($draft->id);
            $refused = match (true) {
                $draft->state !== 'open' => 'draft-ended',
                $draft->revision !== $revision => 'draft-moved-on',
                $draft->based_on !== $this->codebooks->document()->version() => 'draft-behind',
                $draft->tried_revision !== $draft->revision => 'draft-not-tried',
                default => null,
            };
            if ($refused !== null) {
                throw ActionException::because("refusals.codebook.$refused", [
                    'who' => $draft->changer->name ?? '',
                    'version' => $this->codebooks->document()->version(),
                ], ActionException::CONFLICT);
            }
            try {
                $document = $draft->codebook()->versioned($version);
            } catch (CoreException $e) {
                throw ActionException::because('refusals.codebook.nothing-stored', [
                    'get-message' => Refusal::sentenceOf($e),
                ]);
            }
            $kept = $this->keep->document($document, $note, $by);
            $draft->update(['state' => 'published', 'published_as' => $kept->version]);

            return $kept;
        });
    }
}
