@extends('paper.layout')
@section('page')
<div class="to">@foreach ($address as $line){{ $line }}<br>@endforeach</div>
<p>{{ $today }}</p>
<p>{{ $salutation }}</p>
<p>According to our books the following {{ count($rows) === 1 ? 'invoice is' : 'invoices are' }} past the due date. Please pay within ten days. If your payment is on its way, accept our thanks.</p>
<table class="lines"><tr><th>Invoice</th><th>Date</th><th>Due</th><th class="number">Days late</th><th class="number">Open</th>@if ($hasInterest)<th class="number">Interest to date</th>@endif</tr>
@foreach ($rows as [$row, $interest])
<tr><td>{{ $row->number }}</td><td>{{ $row->dateText }}</td><td>{{ $row->dueText }}</td><td class="number">{{ $row->daysLate }}</td><td class="number">{{ $row->open->currency }} {{ $row->open->text }}</td>@if ($hasInterest)<td class="number">{{ $interest?->figures() }}</td>@endif</tr>
@endforeach
@foreach ($sums as $sum)
<tr class="total"><td colspan="4">In all</td><td class="number">{{ $sum[0]->toText() }}</td>@if ($hasInterest)<td class="number">{{ $sum[1]->figures() }}</td>@endif</tr>
@endforeach
</table>
<p>Sincerely,</p><br><p>{{ $office->name }}</p>
@endsection
