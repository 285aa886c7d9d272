<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\Remark\RemarkCode;

/** Why a figure is undefined. */
enum Undefined: string implements RemarkCode
{
    case NotFinite = 'undefined.not-finite';
    case NoPairs = 'undefined.no-pairs';
    case NoPairsOfCategory = 'undefined.no-pairs-of-category';
    case OneCategory = 'undefined.one-category';
    case OneCategoryOnly = 'undefined.one-category-only';
    case AllRatingsSame = 'undefined.all-ratings-same';
    case OneValue = 'undefined.one-value';
    case PairableSame = 'undefined.pairable-same';
    case NoDisagreement = 'undefined.no-disagreement';
    /** most: values that are compared with one another */
    case TooManyValues = 'undefined.too-many-values';
    case Incomplete = 'undefined.incomplete';
    case OneCase = 'undefined.one-case';
    case NoVariance = 'undefined.no-variance';
    case NoVarianceToShare = 'undefined.no-variance-to-share';
    /** scale */
    case NotForScale = 'undefined.not-for-scale';
    case NoCaseByBoth = 'undefined.no-case-by-both';
    case FewCasesByBoth = 'undefined.few-cases-by-both';
    case SameCategoryThroughout = 'undefined.same-category-throughout';
    case NoPairDefined = 'undefined.no-pair-defined';
    case NoPairWithRater = 'undefined.no-pair-with-rater';
    case NobodyToCompareWith = 'undefined.nobody-to-compare-with';
    case NobodyCalledPresent = 'undefined.nobody-called-present';
    case NothingTwice = 'undefined.nothing-twice';
    case NotMeasuredByBoth = 'undefined.not-measured-by-both';
    case FewMeasuredByBoth = 'undefined.few-measured-by-both';
    case SameValues = 'undefined.same-values';
    case NoPositive = 'undefined.no-positive';
    case NoNegative = 'undefined.no-negative';
    case NoneCalledPositive = 'undefined.none-called-positive';
    case NoneCalledNegative = 'undefined.none-called-negative';
    case OneSidedKey = 'undefined.one-sided-key';
    case EmptyMargin = 'undefined.empty-margin';
    case NoConfidence = 'undefined.no-confidence';
    case SuchCaseNever = 'undefined.such-case-never';
    case NeverThere = 'undefined.never-there';
    case AlwaysThere = 'undefined.always-there';
    case SetsSame = 'undefined.sets-same';
    case FewToRank = 'undefined.few-to-rank';
    case FewThingsToRank = 'undefined.few-things-to-rank';
    case AllTied = 'undefined.all-tied';
    case OneTies = 'undefined.one-ties';
    case NothingToCompare = 'undefined.nothing-to-compare';
    case UndefinedInOne = 'undefined.undefined-in-one';
    case FewCasesInOne = 'undefined.few-cases-in-one';
    case FewReaders = 'undefined.few-readers';
    case FewReadersForOthers = 'undefined.few-readers-for-others';
    case UndefinedWithoutReader = 'undefined.undefined-without-reader';
    case NoErrorOfItsOwn = 'undefined.no-error-of-its-own';
    /** least, questions */
    case FewQuestions = 'undefined.few-questions';
    case InNoItem = 'undefined.in-no-item';
    case NothingScored = 'undefined.nothing-scored';
    case NobodyDiffers = 'undefined.nobody-differs';
}
