<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\Actions\SaveDraft;
use App\Codebook\Codebooks;
use App\Codebook\Pages\FaultTrial;
use App\Codebook\Pages\RowPage;
use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\CodebookDraft;
use Core\Codebook\CodebookDocument;
use Core\Codebook\DocumentParts;
use Core\CoreException;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/**
 * One row of the draft – a fault, a lens, a drill, a word, a phrase – to be edited, taken out, or put back as it is in
 * the version that holds.
 *
 * @phpstan-type Part 'faults'|'lenses'|'drills'|'words'|'cues'
 */
final class DraftRowController extends Controller
{
    private const FORMS = [
        'faults' => FaultForm::class,
        'lenses' => LensForm::class,
        'drills' => DrillForm::class,
        'words' => WordForm::class,
        'cues' => CueForm::class,
    ];

    public function __construct(private readonly SaveDraft $save, private readonly Codebooks $codebooks)
    {
    }

    /** @param  Part  $part */
    public function edit(string $part, string $key, RowPage $page): View
    {
        $draft = CodebookDraft::open() ?? abort(404);
        isset($draft->codebook()->whole()[$part][$key]) || abort(404);

        return view('codebook.draft.row', $page->of($draft, $part, $key));
    }

    /** @param  Part  $part */
    public function save(string $part, string $key): RedirectResponse
    {
        $this->backTo(route('codebook.draft.edit', [$part, $key]));
        $form = app(self::FORMS[$part]);
        ($this->save)(
            self::draft(),
            $form->revision(),
            static fn (CodebookDocument $d): CodebookDocument => $form->onto($d, $key),
            $this->user(),
        );

        return redirect()->route('codebook.draft.edit', [$part, $key])->with('done', (string) __('draft.saved'));
    }

    /** @param  Part  $part */
    public function add(string $part, AddRowRequest $request): RedirectResponse
    {
        /** @var array<string, array{word: string, means: string}> $glossary */
        $glossary = (array) __('glossary');
        ($this->save)(
            self::draft(),
            null,
            static fn (CodebookDocument $d): CodebookDocument => $request->onto($d, $part, $glossary),
            $this->user(),
        );

        return redirect()->route('codebook.draft.edit', [$part, $request->key()]);
    }

    /** @param  Part  $part */
    public function back(string $part, string $key): RedirectResponse
    {
        $draft = self::draft();
        $was = $this->codebooks->document($draft->based_on);
        ($this->save)(
            $draft,
            null,
            static fn (CodebookDocument $d): CodebookDocument => DocumentParts::back($d, $was, $part, $key),
            $this->user(),
        );

        return redirect()->route('codebook.draft')->with('done', (string) __('draft.put-back'));
    }

    /** @param  Part  $part */
    public function remove(string $part, string $key): RedirectResponse
    {
        ($this->save)(
            self::draft(),
            null,
            static fn (CodebookDocument $d): CodebookDocument => DocumentParts::without($d, $part, $key),
            $this->user(),
        );

        return redirect()->route('codebook.draft')->with('done', (string) __('draft.taken-out'));
    }

    /**
     * What a fault's rules say as they stand in the form, what is wrong with them, and the verdicts that they would
     * turn; nothing is stored.
     *
     * @throws CoreException where they cannot be read: told in one sentence
     */
    public function look(string $key, FaultForm $form, FaultTrial $trial): JsonResponse
    {
        try {
            $document = $form->onto(self::draft()->codebook(), $key);
        } catch (CoreException $e) {
            throw ActionException::of($e);
        }

        return response()->json($trial->of($document, $key, $this->user()));
    }

    /** @throws ActionException where none is open */
    private static function draft(): CodebookDraft
    {
        return CodebookDraft::open()
            ?? throw ActionException::because('refusals.codebook.draft-ended', [], ActionException::LOCKED);
    }
}
