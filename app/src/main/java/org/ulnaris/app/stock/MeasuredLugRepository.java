package org.ulnaris.app.stock;

interface MeasuredLugRepository extends PartRows<MeasuredLug> {}
