<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Fitting;

/** Where a sum of squares is least. */
final readonly class Minimum
{
    /**
     * @param list<float>       $at         the parameters there
     * @param float             $sum        of squared residuals there
     * @param list<list<float>> $covariance (JᵀJ)⁻¹ there, for residuals of unit variance
     */
    public function __construct(public array $at, public float $sum, public array $covariance)
    {
    }
}
