<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\Actions\BeginDraft;
use App\Codebook\Actions\DropDraft;
use App\Codebook\Actions\PublishDraft;
use App\Codebook\Actions\RebaseDraft;
use App\Codebook\Actions\TryDraft;
use App\Codebook\Pages\DraftPage;
use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\CodebookDraft;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The next version of the codebook as a whole: begun, looked at, tried, published, laid aside. */
final class DraftController extends Controller
{
    public function show(DraftPage $page): View|RedirectResponse
    {
        $draft = CodebookDraft::open();

        return $draft === null
            ? redirect()->to(route('codebook').'#versions')
            : view('codebook.draft', $page->of($draft, $this->user()));
    }

    public function begin(BeginDraft $begin): RedirectResponse
    {
        $begin($this->user());

        return redirect()->route('codebook.draft');
    }

    public function drop(DropDraft $drop): RedirectResponse
    {
        $draft = self::draft();

        return $this->attempt(static fn () => $drop($draft), (string) __('draft.laid-aside'), 'codebook');
    }

    public function takeUp(DropDraft $drop): RedirectResponse
    {
        $draft = CodebookDraft::query()->where('state', 'dropped')->orderByDesc('id')->firstOrFail();

        return $this->attempt(static fn () => $drop->takeUp($draft), (string) __('draft.taken-up'), 'codebook.draft');
    }

    public function try(TryDraft $try): RedirectResponse
    {
        return $this->ask(fn () => $try(self::draft(), $this->user()), (string) __('draft.tried-now'));
    }

    public function rebase(RebaseDraft $rebase): RedirectResponse
    {
        return $this->attempt(fn () => $rebase(self::draft(), $this->user()), (string) __('draft.carried-over'));
    }

    public function publish(PublishDraftRequest $request, PublishDraft $publish): RedirectResponse
    {
        $publish(
            self::draft(),
            $request->integer('revision'),
            $request->string('version')->value(),
            $request->string('note')->value(),
            $this->user(),
        );

        return redirect()->route('codebook')->with('done', (string) __('codebook.versions.kept'));
    }

    /** @throws ActionException where none is open */
    private static function draft(): CodebookDraft
    {
        return CodebookDraft::open()
            ?? throw ActionException::because('refusals.codebook.draft-ended', [], ActionException::LOCKED);
    }
}
