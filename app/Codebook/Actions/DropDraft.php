<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Exceptions\ActionException;
use App\Models\CodebookDraft;
use Illuminate\Support\Facades\DB;

/** Lays a draft aside, and takes it up again where no other has been begun since. */
final readonly class DropDraft
{
    /** @throws ActionException where it was published */
    public function __invoke(CodebookDraft $draft): void
    {
        DB::transaction(static function () use ($draft): void {
            $draft = CodebookDraft::query()->lockForUpdate()->findOrFail($draft->id);
            if ($draft->state === 'published') {
                throw ActionException::because('refusals.codebook.draft-ended', [], ActionException::LOCKED);
            }
            $draft->update(['state' => 'dropped']);
        });
    }

    /** @throws ActionException where it was published, or another one is open */
    public function takeUp(CodebookDraft $draft): void
    {
        DB::transaction(static function () use ($draft): void {
            DB::statement('lock table codebook_drafts in share row exclusive mode');
            if ($draft->refresh()->state === 'published' || CodebookDraft::open() !== null) {
                throw ActionException::because('refusals.codebook.draft-other-open', [], ActionException::CONFLICT);
            }
            $draft->update(['state' => 'open']);
        });
    }
}
