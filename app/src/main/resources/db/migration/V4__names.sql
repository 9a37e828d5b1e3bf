-- The words of the trade: a question on which butchers differ is a cutting option, a way of costing is a costing
-- method, and how far a demand may be off is its forecast error.
alter table lot rename column costing_school to costing_method;
alter table lot_school rename to lot_option;
alter table lot_option rename column school to option;
alter table house_school rename to house_option;
alter table house_option rename column school to option;
alter table demand rename column give to forecast_error;
