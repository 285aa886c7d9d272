<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\Node\Expr\BooleanNot;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;
use PHPStan\Type\FloatType;

/**
 * A comparison of numbers is not denied to catch NaN: PHP's tracing JIT was seen to take ! ($x <= $y) for $x > $y.
 *
 * @implements Rule<BooleanNot>
 */
final class DeniedComparisonRule implements Rule
{
    public function getNodeType(): string
    {
        return BooleanNot::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        if (! $this->compares($node->expr, $scope)) {
            return [];
        }

        return [
            RuleErrorBuilder::message('A denied comparison of numbers: ask is_nan() and compare the other way round.')
                ->identifier('vc.deniedComparison')
                ->build(),
        ];
    }

    private function compares(Expr $of, Scope $scope): bool
    {
        return match (true) {
            $of instanceof BinaryOp\BooleanAnd, $of instanceof BinaryOp\BooleanOr => $this->compares($of->left, $scope)
                || $this->compares($of->right, $scope),
            $of instanceof BinaryOp\Smaller, $of instanceof BinaryOp\SmallerOrEqual, $of instanceof BinaryOp\Greater,
            $of instanceof BinaryOp\GreaterOrEqual => ! (new FloatType)->isSuperTypeOf($scope->getType($of->left))->no()
                || ! (new FloatType)->isSuperTypeOf($scope->getType($of->right))->no(),
            default => false,
        };
    }
}
