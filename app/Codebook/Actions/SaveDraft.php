<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\CodebookDraft;
use App\Models\User;
use Closure;
use Core\Codebook\CodebookDocument;
use Core\CoreException;
use Illuminate\Support\Facades\DB;

/** Changes the draft that was seen: whoever saves over what somebody else has changed meanwhile is told so. */
final readonly class SaveDraft
{
    /**
     * @param  int|null  $revision  the one that was seen; null: whichever there is
     * @param  Closure(CodebookDocument): CodebookDocument  $change
     *
     * @throws ActionException where it is open no longer, has moved on, or would not stand: nothing is stored
     */
    public function __invoke(CodebookDraft $draft, ?int $revision, Closure $change, User $by): CodebookDraft
    {
        return DB::transaction(static function () use ($draft, $revision, $change, $by): CodebookDraft {
            $draft = CodebookDraft::query()->lockForUpdate()->findOrFail($draft->id);
            if ($draft->state !== 'open') {
                throw ActionException::because('refusals.codebook.draft-ended', [], ActionException::LOCKED);
            }
            if ($revision !== null && $draft->revision !== $revision) {
                throw ActionException::because(
                    'refusals.codebook.draft-moved-on',
                    ['who' => $draft->changer->name ?? ''],
                    ActionException::CONFLICT,
                );
            }
            try {
                $document = $change($draft->codebook());
            } catch (CoreException $e) {
                throw ActionException::because('refusals.codebook.nothing-stored', [
                    'get-message' => Refusal::sentenceOf($e),
                ]);
            }
            $draft->update([
                'document' => $document->toArray(),
                'revision' => $draft->revision + 1,
                'changed_by' => $by->id,
            ]);

            return $draft;
        });
    }
}
