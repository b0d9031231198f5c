@extends('paper.layout')
@section('page')
<div class="to">@foreach ($copy['address'] === [] ? [$copy['name']] : $copy['address'] as $line){{ $line }}<br>@endforeach
@if ($copy['taxNumber'] !== '')<span class="quiet">VAT {{ $copy['taxNumber'] }}</span>@endif</div>
<h1>{{ $title }}</h1>
<table class="facts"><tr><td class="quiet">Date</td><td>{{ $document->date->toText() }}</td>
@if ($document->due !== null)<td class="quiet">Due</td><td>{{ $document->due->toTextWithWeekday() }}</td>@endif
@if ($document->reference !== '')<td class="quiet">Your reference</td><td>{{ $document->reference }}</td>@endif</tr></table>
<br>
<table class="lines">
<tr><th>For</th><th class="number">Quantity</th><th class="number">Price</th>@if ($hasDiscount)<th class="number">Discount</th>@endif<th class="number">Tax</th><th class="number">{{ $document->currency }}</th></tr>
@foreach ($document->lines as $line)
<tr><td>{{ $line->text }}</td><td class="number">{{ $line->quantity }}</td><td class="number">{{ $line->line()->priceText($document->currency) }}</td>@if ($hasDiscount)<td class="number">{{ $line->discount === '0' ? '' : $line->discount.' %' }}</td>@endif<td class="number">{{ $line->tax }} %</td><td class="number">{{ $document->money($line->amount_minor)->figures() }}</td></tr>
@endforeach
</table>
<table>
<tr><td></td><td class="number">Without tax</td><td class="number" style="width: 32mm">{{ $totals->net->figures() }}</td></tr>
@foreach ($totals->groups as $group)
@if (! $group->rate->isZero())<tr><td></td><td class="number">Tax {{ $group->rate->toText() }} on {{ $group->taxable->figures() }}</td><td class="number">{{ $group->tax->figures() }}</td></tr>@endif
@endforeach
<tr class="total"><td></td><td class="number">{{ $document->currency }} in all</td><td class="number">{{ $totals->gross->figures() }}</td></tr>
</table>
@if ($document->discount() !== null)<p>{{ $document->discount()->percent->toText() }} off if paid by {{ $document->discount()->lastDay->toText() }}.</p>@endif
@foreach ($parts as [$day, $amount])<p>{{ $amount->toText() }} on {{ $day->toText() }}</p>@endforeach
@if ($document->note !== '')<p>{!! nl2br(e($document->note)) !!}</p>@endif
@endsection
