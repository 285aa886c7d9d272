<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Remark\RemarkCode;

/** Why a measure has no value. */
enum Lack: string implements RemarkCode
{
    case NotMeasured = 'lack.not-measured';
    case NoTrace = 'lack.no-trace';
    case NoForce = 'lack.no-force';
    case MatKnowsNoForce = 'lack.mat-knows-no-force';
    case MatKnowsNoDirection = 'lack.mat-knows-no-direction';
    case NetOnly = 'lack.net-only';
    case Mass = 'lack.mass';
    case StanceForShare = 'lack.stance-for-share';
    case Stance = 'lack.stance';
    case FeetPlaces = 'lack.feet-places';
    case FootCop = 'lack.foot-cop';
    /** stations: codes of those whose time is not known */
    case Stations = 'lack.stations';
    case Tempo = 'lack.tempo';
    case NotCovered = 'lack.not-covered';
    case StartsTooLate = 'lack.starts-too-late';
    case EndsTooEarly = 'lack.ends-too-early';
    case NotFollowed = 'lack.not-followed';
    case NotLetGo = 'lack.not-let-go';
    case UnloadedAtTop = 'lack.unloaded-at-top';
    case NoPushBack = 'lack.no-push-back';
    case HeelNeverLeft = 'lack.heel-never-left';
    /** least: swings of which a distribution is made */
    case Norms = 'lack.norms';
    case NoPoints = 'lack.no-points';
    case Points = 'lack.points';
    case Hips = 'lack.hips';
    case Shoulders = 'lack.shoulders';
    case Heels = 'lack.heels';
    case TrailFoot = 'lack.trail-foot';
    case LeadFoot = 'lack.lead-foot';
    case TrailFootLeft = 'lack.trail-foot-left';
    case TrailHeelStaysDown = 'lack.trail-heel-stays-down';
    case TooShortAWay = 'lack.too-short-a-way';
    case BothViews = 'lack.both-views';
    case LeadLeg = 'lack.lead-leg';
    case LeadHip = 'lack.lead-hip';
    case FilmHasNoDepth = 'lack.film-has-no-depth';
    case FilmNotAlongTarget = 'lack.film-not-along-target';
    case FilmNoKneeGap = 'lack.film-no-knee-gap';
}
