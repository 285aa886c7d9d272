<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\CodebookDraft;
use App\Models\User;
use Core\Codebook\DocumentMerge;
use Core\CoreException;
use Illuminate\Support\Facades\DB;

/** Carries a draft over to a version that was published since it was begun. */
final readonly class RebaseDraft
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @throws ActionException where its changes do not stand with what is new: nothing is stored */
    public function __invoke(CodebookDraft $draft, User $by): CodebookDraft
    {
        return DB::transaction(function () use ($draft, $by): CodebookDraft {
            $draft = CodebookDraft::query()->lockForUpdate()->findOrFail($draft->id);
            if ($draft->state !== 'open') {
                throw ActionException::because('refusals.codebook.draft-ended', [], ActionException::LOCKED);
            }
            $newest = $this->codebooks->document();
            if ($draft->based_on === $newest->version()) {
                return $draft;
            }
            try {
                $merged = DocumentMerge::onto(
                    $newest,
                    $this->codebooks->document($draft->based_on),
                    $draft->codebook(),
                );
            } catch (CoreException $e) {
                throw ActionException::because('refusals.codebook.nothing-stored', [
                    'get-message' => Refusal::sentenceOf($e),
                ]);
            }
            $draft->update([
                'document' => $merged->toArray(),
                'based_on' => $newest->version(),
                'revision' => $draft->revision + 1,
                'changed_by' => $by->id,
            ]);

            return $draft;
        });
    }
}
